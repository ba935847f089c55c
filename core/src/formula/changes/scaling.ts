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

/** Room a pot keeps for stirring and for what rises, % of what it holds. */
export const USUAL_FREE_PERCENT = 20;

export interface Pot {
  /** What it holds to the brim, mL. */
  readonly brimfulMl: number;
  /** Left free for stirring, % of it. */
  readonly freePercent?: number;
  readonly densityGramsPerMl: number;
}

/** How a batch is made in a pot: so many rounds of equal mass, and the most that one round may be, g. */
export interface PotRounds {
  readonly rounds: number;
  readonly gramsEach: number;
  readonly mostGrams: number;
}

/**
 * A batch parted into equal rounds that a pot holds: most = brimful × (1 − free) × density. 2,400 g in a pot of 1.5 L with a
 * fifth left free, at 1.01 g/mL (1,212 g at most), are two rounds of 1,200 g.
 * @throws Refusal when the pot holds nothing.
 */
export function roundsForPot(batchGrams: number, { brimfulMl, freePercent = USUAL_FREE_PERCENT, densityGramsPerMl }: Pot): PotRounds {
  if (!(brimfulMl > 0 && Number.isFinite(brimfulMl))) {
    throw new Refusal("not-possible", "A pot must hold more than 0 mL.", "Type what the largest pot holds to the brim.");
  }
  if (!(freePercent >= 0 && freePercent < 100)) {
    throw new Refusal("not-possible", `${freePercent} % left free leaves nothing to fill.`, "Type from 0 to under 100 %.");
  }
  const mostGrams = brimfulMl * (1 - freePercent / 100) * positive(densityGramsPerMl, "A millilitre");
  const rounds = Math.max(1, ceilOf(positive(batchGrams, "The batch") / mostGrams));
  return { rounds, gramsEach: batchGrams / rounds, mostGrams };
}

/** Rounded up, but not for what binary fractions add: 2400 ⁄ 1200 is 2. */
const ceilOf = (value: number): number => Math.ceil(value - 1e-9);

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
