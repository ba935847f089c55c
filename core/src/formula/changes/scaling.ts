import type { MaterialsBySlug } from "../../library/material.ts";
import { writtenMass } from "../../quantities/written.ts";
import { Refusal } from "../../quantities/refusal.ts";
import { resolveLines } from "../resolveLines.ts";
import type { Formula } from "../types.ts";

/** What stays on tools and in the beaker, % of the batch. */
export const USUAL_LOSS_PERCENT = 3;

function positive(grams: number, what: string): number {
  if (grams > 0 && Number.isFinite(grams)) return grams;
  throw new Refusal("not-possible", `${what} must be more than 0 g.`, "Type the grams you have or want.");
}

/** The same formula for another batch. Percentages stay, every gram changes in the same proportion. */
export function scaleToBatch(formula: Formula, batchGrams: number): Formula {
  return { ...formula, batchGrams: positive(batchGrams, "The batch") };
}

export interface Filling {
  readonly containers: number;
  /** Net content of one. */
  readonly fillGrams: number;
  readonly lossPercent?: number;
  /** Taken for pH and other tests. */
  readonly sampleGrams?: number;
}

/**
 * Batch that fills so many containers: n × fill ⁄ (1 − loss) and the samples. 12 bottles of 250 g at 3 % loss and 20 g
 * of samples need 3,112.8 g.
 * @throws Refusal when there is nothing to fill or everything is lost.
 */
export function batchForContainers({ containers, fillGrams, lossPercent = USUAL_LOSS_PERCENT, sampleGrams = 0 }: Filling): number {
  if (!Number.isInteger(containers) || containers < 1) {
    throw new Refusal("not-possible", "At least one whole container must be filled.", "Type how many you want to fill.");
  }
  if (!(lossPercent >= 0 && lossPercent < 100)) {
    throw new Refusal("not-possible", `A loss of ${lossPercent} % leaves nothing to fill.`, "Type a loss from 0 to under 100 %.");
  }
  return (containers * positive(fillGrams, "The content of a container")) / (1 - lossPercent / 100) + sampleGrams;
}

/**
 * Batch that uses up what is in hand of one material: grams × 100 ⁄ percent, all its lines together. 83 g of something
 * that is 18 % of the formula make 461.1 g.
 * @throws Refusal when the formula holds none of it.
 */
export function batchForMaterial(
  formula: Formula,
  gramsInHand: { readonly material: string; readonly grams: number },
  library: MaterialsBySlug,
): number {
  const { sheet } = resolveLines(formula, library);
  const percent = sheet.lines.reduce((sum, { line, percent: share }) => (line.material === gramsInHand.material ? sum + share : sum), 0);
  if (percent <= 0) {
    throw new Refusal(
      "not-possible",
      `${writtenMass(gramsInHand.grams)} of ${gramsInHand.material} are in hand, but the formula holds none of it.`,
      "Choose a material of this formula.",
    );
  }
  return (positive(gramsInHand.grams, "What is in hand") * 100) / percent;
}
