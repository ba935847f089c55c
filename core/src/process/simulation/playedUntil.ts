import { whyNot } from "../batch/admit.ts";
import { batchState } from "../batch/batchState.ts";
import { type BatchPlan } from "../batch/batchPlan.ts";
import { partTargetGrams } from "../batch/contents.ts";
import type { BatchEntry } from "../batch/entries.ts";

const MOST_ENTRIES = 500;
const SIMULATED = { readOff: "simulated scale" } as const;

/**
 * The entries that bring a practice batch to its next step that is tuned, or to its end: every weight as wanted, every
 * step done in its order, no rest waited for.
 * @param at ISO, for each of them
 * @param newId Draws an identifier.
 */
export function playedUntilTuned(
  plan: BatchPlan,
  entries: readonly BatchEntry[],
  { at, newId }: { readonly at: string; readonly newId: () => string },
): readonly BatchEntry[] {
  const played: BatchEntry[] = [];
  for (let count = 0; count < MOST_ENTRIES; count += 1) {
    const all = [...entries, ...played];
    const state = batchState(plan, all);
    const through = new Set(state.steps.flatMap(({ step, state: is }) => (is === "open" ? [] : [step.id])));
    const step = state.steps.find((one) => one.state === "open" && one.step.after.every((id) => through.has(id)))?.step;
    if (step === undefined || step.tunes !== undefined) break;
    const line = step.lines.map((id) => state.lines.get(id)).find((one) => one?.actualGrams === null && one.targetGrams > 0);
    const head = { id: newId(), at };
    const entry: BatchEntry =
      line !== undefined
        ? { ...head, kind: "weighed", step: step.id, line: line.line, grams: line.targetGrams, ...SIMULATED }
        : step.measures !== undefined && !state.measured.has(step.id) && step.measures === "part"
          ? { ...head, kind: "measured", step: step.id, grams: partTargetGrams(plan, state, step.id) ?? 0, ...SIMULATED }
          : { ...head, kind: "done", step: step.id };
    if (whyNot(plan, all, entry) !== null) break;
    played.push(entry);
  }
  return played;
}
