import { Refusal } from "../quantities/refusal.ts";

/**
 * Water to put back after heating, g: the weight before less the weight after, beaker, stirrer and content each time.
 * 812 g before and 795.5 g after want 16.5 g. A batch that is heavier than before wants none.
 * @throws Refusal when a weight is not above 0.
 */
export function evaporationTopUpGrams(beforeGrams: number, afterGrams: number): number {
  if (!(beforeGrams > 0) || !(afterGrams > 0)) {
    throw new Refusal("not-valid", "A weight must be above 0 g.", "Weigh beaker, stirrer and content together, both times.");
  }
  return Math.max(0, beforeGrams - afterGrams);
}
