import type { BatchPlan } from "../batch/batchPlan.ts";
import type { BatchEntry } from "../batch/entries.ts";

/** What an entry adds to the batch, or takes out of it, g. */
export function changeInBeaker(entry: BatchEntry): number {
  switch (entry.kind) {
    case "weighed":
    case "dosed":
    case "salted":
    case "thickened":
    case "sample-back":
      return entry.grams;
    case "ph-read":
      return -entry.sampleGrams;
    case "sample-taken":
      return -entry.grams;
    default:
      return 0;
  }
}

/** Lines of a plan that are dosed by reading: a weight of theirs is no weighing-in. */
export function tunedLines({ steps }: BatchPlan, what?: "ph" | "thickness" | "polymer"): ReadonlySet<string> {
  return new Set(steps.flatMap(({ tunes, lines }) => (tunes === undefined || (what !== undefined && tunes !== what) ? [] : lines)));
}

/** What is in the batch now, g: weighed and dosed, less samples that were read or are aside. */
export function leftInBeaker(plan: BatchPlan, standing: readonly BatchEntry[]): number {
  const tuned = tunedLines(plan);
  return standing.reduce((sum, entry) => (entry.kind === "weighed" && tuned.has(entry.line) ? sum : sum + changeInBeaker(entry)), 0);
}
