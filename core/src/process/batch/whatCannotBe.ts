import type { Step } from "../step.ts";
import type { BatchPlan } from "./batchPlan.ts";
import type { BatchState } from "./batchState.ts";

/** Why nothing can be entered in a step any more; null while it is open. */
export function stepIsOver({ steps }: BatchState, id: string): string | null {
  const found = steps.find(({ step }) => step.id === id);
  if (found === undefined) return "This step is not in the batch.";
  return found.state === "open" ? null : `"${found.step.title}" has been ${found.state} already.`;
}

/** Whether a step is tuned by readings of that kind. */
export function tunes({ steps }: BatchPlan, id: string, what: Step["tunes"]): boolean {
  return steps.some((step) => step.id === id && step.tunes === what);
}

/** What no scale of the maker can have shown. */
export function wrongWeight({ formula }: BatchPlan, grams: number): string | null {
  if (!(grams >= 0)) return "A weight is not below 0. Tare again and weigh once more.";
  const most = Math.max(0, ...formula.scales.map(({ capacityGrams }) => capacityGrams));
  return most > 0 && grams > most ? `That is more than your strongest scale carries, ${most} g.` : null;
}
