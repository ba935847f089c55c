import { written } from "../../quantities/written.ts";
import type { BatchEntry } from "./entries.ts";
import type { BatchPlan } from "./batchPlan.ts";
import type { BatchState } from "./batchState.ts";
import type { PlannedContainer } from "./fillPlan.ts";
import { fillingOf } from "./filling.ts";
import { wrongWeight } from "./whatCannotBe.ts";

const kinds = ["fill-planned", "fill-checked", "container-tried", "container-filled", "fill-lost"] as const;

export type FillingEntry = Extract<BatchEntry, { readonly kind: (typeof kinds)[number] }>;

const MOST_CONTAINERS = 10_000;
const MOST_ROWS = 40;

/** Whether an entry belongs to the filling: it may also follow when the batch is closed. */
export function isOfFilling(entry: BatchEntry): entry is FillingEntry {
  return kinds.some((kind) => kind === entry.kind);
}

/** Why something of the filling cannot be entered; null when it can. */
export function whyNotFilling(plan: BatchPlan, state: BatchState, entry: FillingEntry): string | null {
  if (state.finished?.isDiscarded === true) return "This batch was discarded: there is nothing to fill.";
  const open = state.finished === null ? state.steps.find(({ step, state: of }) => of === "open" && step.code !== "fill") : undefined;
  if (open !== undefined && entry.kind !== "fill-planned") return `"${open.step.title}" comes first.`;
  switch (entry.kind) {
    case "fill-planned":
      return whyNotPlanned(plan, state, entry.filling) ?? (entry.density.gramsPerMl > 0 ? null : "A density is above 0 g/mL.");
    case "fill-checked":
      return null;
    case "fill-lost":
      if (!(entry.grams > 0)) return "Give the grams that were lost.";
      return entry.text === "" ? "Say where it went: spilled, or left in the funnel." : wrongWeight(plan, entry.grams);
    case "container-tried":
      if (!hasRow(plan, state, entry.row)) return "This container is not in the plan any more.";
      return !entry.works && entry.text === "" ? "Say what did not work." : null;
    case "container-filled":
      return whyNotFilled(plan, state, entry);
  }
}

function whyNotPlanned(plan: BatchPlan, state: BatchState, rows: readonly PlannedContainer[]): string | null {
  if (rows.length === 0) return "Choose at least one container.";
  if (rows.length > MOST_ROWS) return `A plan has at most ${MOST_ROWS} kinds of containers.`;
  const wrong = rows.find(({ count, grams }) => !(Number.isInteger(count) && count >= 1 && count <= MOST_CONTAINERS && grams > 0));
  if (wrong !== undefined) return `${wrong.name}: give how many, 1 or more, and what goes into each.`;
  if (new Set(rows.map(({ id }) => id)).size < rows.length) return "A row stands twice in the plan.";
  const short = fillingOf(plan, state).rows.find(({ id, filled }) => rows.some((row) => row.id === id && row.count < filled.length));
  return short === undefined ? null : `${short.filled.length} of ${short.name} are filled already: plan at least as many.`;
}

function hasRow(plan: BatchPlan, state: BatchState, id: string): boolean {
  return fillingOf(plan, state).rows.some((row) => row.id === id);
}

function whyNotFilled(plan: BatchPlan, state: BatchState, entry: FillingEntry & { readonly kind: "container-filled" }): string | null {
  const row = fillingOf(plan, state).rows.find(({ id }) => id === entry.row);
  if (row === undefined) return "This container is not in the plan any more.";
  const { number, grams } = entry;
  if (!(Number.isInteger(number) && number >= 1 && number <= MOST_CONTAINERS)) return "Containers are numbered from 1.";
  const before = row.filled.find((one) => one.number === number);
  if (before !== undefined)
    return `${row.name} ${number} is filled already, with ${written(before.grams, 1)} g. Take that back to fill it anew.`;
  return grams > 0 ? wrongWeight(plan, grams) : "A filled container holds more than 0 g.";
}
