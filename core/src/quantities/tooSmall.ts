/** Below this many display steps rounding alone costs over 2.5 %. */
export const FEWEST_STEPS = 20;

/** Stock solutions offered, % w/w, strongest first. */
export const STOCK_STRENGTHS_PERCENT = [50, 25, 10, 5, 2, 1, 0.5, 0.1] as const;

const TOLERANCE = 1e-9;

/** Whether a target mass is too small for the finest scale: above 0 and below 20 of its steps. */
export function isTooSmall(massGrams: number, finestReadabilityGrams: number): boolean {
  return massGrams > 0 && massGrams < FEWEST_STEPS * finestReadabilityGrams * (1 - TOLERANCE);
}

export interface TooSmallCures {
  /** The least that can be weighed well, g. */
  readonly leastGrams: number;
  /** The batch at which the line reaches it, g. */
  readonly smallestBatchGrams: number;
  /** The strongest stock solution that brings the weight up, or null where none is weak enough. */
  readonly stock: { readonly strengthPercent: number; readonly massGrams: number } | null;
}

/**
 * Both ways to weigh what is too small: a batch of 20 r × 100 ⁄ percent, or the strongest stock solution that
 * weighs at least 20 r. 0.03 g on a 0.01 g scale: a 10 % solution weighs 0.30 g. `percent` > 0.
 */
export function tooSmallCures(massGrams: number, percent: number, finestReadabilityGrams: number): TooSmallCures {
  const leastGrams = FEWEST_STEPS * finestReadabilityGrams;
  const strengthPercent = STOCK_STRENGTHS_PERCENT.find((strength) => (massGrams * 100) / strength >= leastGrams * (1 - TOLERANCE));
  return {
    leastGrams,
    smallestBatchGrams: (leastGrams * 100) / percent,
    stock: strengthPercent === undefined ? null : { strengthPercent, massGrams: (massGrams * 100) / strengthPercent },
  };
}
