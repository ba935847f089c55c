import { equivalentsPerMole, gramsOf, type Agent } from "../../acidity/equivalents.ts";
import type { SimulatedBatch } from "./simulatedBatch.ts";
import { alkalinityAt } from "./truth.ts";

const POINTS = 60;

/** Grams of a solution that bring so much of a hidden batch from its first pH to another; its own mass is not counted. */
export function trueDoseGrams(
  hidden: SimulatedBatch,
  agent: Agent,
  { batchGrams, ph }: { readonly batchGrams: number; readonly ph: number },
): number {
  const missing = Math.abs(alkalinityAt(hidden, ph) - alkalinityAt(hidden, hidden.startPh));
  return gramsOf(agent, ((missing / Math.max(1e-9, equivalentsPerMole(agent, ph))) * batchGrams) / 1000);
}

/** The true buffer curve for the picture: running grams of a solution against pH, from the first pH to a last one. */
export function trueCurve(
  hidden: SimulatedBatch,
  agent: Agent,
  { batchGrams, toPh }: { readonly batchGrams: number; readonly toPh: number },
): readonly { readonly grams: number; readonly ph: number }[] {
  return Array.from({ length: POINTS }, (_, at) => {
    const ph = hidden.startPh + ((toPh - hidden.startPh) * at) / (POINTS - 1);
    return { ph, grams: trueDoseGrams(hidden, agent, { batchGrams, ph }) };
  });
}
