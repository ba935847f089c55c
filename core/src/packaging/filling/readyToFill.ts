import type { BatchPlan } from "../../process/batch/batchPlan.ts";
import type { BatchState } from "../../process/batch/batchState.ts";
import { fillingOf, type Filling } from "../../process/batch/filling.ts";
import { isRunning } from "../../process/batch/waits.ts";
import { containerFacts, suitsThickness } from "./containerTypes.ts";

/** What is looked at before a batch is filled. */
export type ReadyCheck =
  | { readonly check: "rest"; readonly state: "done" | "open"; readonly until: string | null }
  | { readonly check: "ph" | "thickness" | "clarity"; readonly state: "done" | "open" }
  | { readonly check: "clean" | "refill"; readonly state: "done" | "open" }
  | { readonly check: "suits"; readonly state: "open"; readonly row: string; readonly name: string; readonly tooThick: boolean }
  | {
      readonly check: "trial";
      readonly state: "done" | "open" | "failed";
      readonly row: string;
      readonly name: string;
      readonly text: string;
    };

/**
 * What practitioners look at first, the next day: rest over, pH, thickness and clarity read since it began, clean containers,
 * and one of each kind tried. What holds no water has no pH and no thickness to read. Nothing of it is a must.
 */
export function readyToFill(plan: BatchPlan, state: BatchState, now: string): readonly ReadyCheck[] {
  const { standing } = state;
  const filling = fillingOf(plan, state);
  const since = restBegan(state);
  const after = standing.filter(({ at }) => since === null || at >= since);
  const isDone = (found: boolean): "done" | "open" => (found ? "done" : "open");
  const holdsWater = plan.steps.some(({ tunes, reads }) => tunes === "ph" || reads === "ph");
  const waiting = state.waits.filter((wait) => isRunning(wait, now)).map(({ until }) => until);
  return [
    { check: "rest", state: isDone(waiting.length === 0), until: waiting.toSorted().at(-1) ?? null },
    ...(holdsWater
      ? [
          { check: "ph" as const, state: isDone(after.some(({ kind }) => kind === "ph-read")) },
          {
            check: "thickness" as const,
            state: isDone(after.some((entry) => entry.kind === "thickness-read" || (entry.kind === "looked" && entry.thickness !== ""))),
          },
        ]
      : []),
    { check: "clarity", state: isDone(after.some((entry) => entry.kind === "looked" && entry.clarity !== "")) },
    { check: "clean", state: isDone(filling.checks.has("clean")) },
    ...(filling.checks.has("refill") ? [{ check: "refill" as const, state: "done" as const }] : []),
    ...ofRows(filling, thicknessOf(standing)),
  ];
}

function ofRows(filling: Filling, pascalSeconds: number | null): readonly ReadyCheck[] {
  // Parts and testers share their kinds of containers: each kind is told once.
  const kinds = filling.rows.filter(
    (row, at, all) => row.container === null || all.findIndex(({ container }) => container === row.container) === at,
  );
  return kinds.flatMap((row): readonly ReadyCheck[] => {
    const facts = containerFacts[row.type];
    const { id, name, tried } = row;
    const high = facts.suits.high;
    const suits: readonly ReadyCheck[] =
      suitsThickness(row.type, pascalSeconds) === false
        ? [{ check: "suits", state: "open", row: id, name, tooThick: high !== null && (pascalSeconds ?? 0) > high }]
        : [];
    if (!facts.isTriedFirst) return suits;
    const state = tried === null ? "open" : tried.works ? "done" : "failed";
    return [...suits, { check: "trial", state, row: id, name, text: state === "failed" ? (tried?.text ?? "") : facts.trial }];
  });
}

/** When the step before filling was done, or the rest before it is parted, ISO: what is read after it was read on the rested batch. */
function restBegan({ steps }: BatchState): string | null {
  const rest = steps.findLastIndex(({ step }) => step.stage === "rest");
  const fill = steps.findIndex(({ step }) => step.code === "fill");
  const end = rest >= 0 && rest < fill ? rest + 1 : fill < 0 ? undefined : fill;
  return steps.slice(0, end).findLast(({ at }) => at !== null)?.at ?? null;
}

/** As read last, Pa·s; seconds of a funnel and words say nothing here. */
function thicknessOf(standing: BatchState["standing"]): number | null {
  const read = standing.findLast((entry) => entry.kind === "thickness-read");
  return read?.kind === "thickness-read" && read.unit === "Pa·s" ? read.viscosity : null;
}
