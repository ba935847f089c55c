import { drawnPh, type Acidity } from "../../acidity/rawPh.ts";
import type { Random } from "../../numerics/random.ts";

/** The pH that was read of a wash, and what 1 % of each of its printed names brings. */
export interface KnownPh {
  readonly measured: number;
  /** For each name in its order; empty where nothing is known of it. */
  readonly acidity: readonly Acidity[];
}

/** A recipe that comes out this far from what was read counts for 0.61 of one that meets it. Ours: a meter and a bottle left open. */
const PH_SIGMA = 0.25;
/** Of fewer recipes that count no mean is told. */
const LEAST_FITTING = 40;

/** How many of the recipes that were tried come out near the pH that was read. */
export interface FittingPh {
  readonly tried: number;
  /** The sum of what each counts. */
  readonly fitting: number;
  /** Whether the typical values are theirs. */
  readonly isUsed: boolean;
}

/**
 * Weighs recipes by the pH they would come out with: each is drawn once with plausible strengths of its materials and counts by
 * exp(−½ (Δ ⁄ 0.25)²), as in approximate Bayesian computation (Beaumont, Zhang and Balding 2002). The mean of what was weighed is
 * to be told once 40 recipes count.
 */
export function phScales({ measured, acidity }: KnownPh, random: Random) {
  const sums = new Float64Array(acidity.length);
  let [fitting, tried] = [0, 0];
  return {
    /** @param percents % w/w of each name */
    weigh(percents: ArrayLike<number>): void {
      const parts = acidity.map((one, at) => ({ acidity: one, percent: percents[at]! }));
      const weight = Math.exp(-0.5 * ((drawnPh(parts, random) - measured) / PH_SIGMA) ** 2);
      tried += 1;
      fitting += weight;
      for (let at = 0; at < sums.length; at += 1) sums[at]! += weight * percents[at]!;
    },
    state: (): FittingPh => ({ tried, fitting, isUsed: fitting >= LEAST_FITTING }),
    /** Mean of the recipes that count, % w/w. */
    mean: (): Float64Array => sums.map((sum) => sum / fitting),
  };
}
