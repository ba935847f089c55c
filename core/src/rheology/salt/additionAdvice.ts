export interface AdditionAdvice {
  /** The next addition, g of the brine or dry salt. */
  readonly grams: number;
  /** Thickness after it; 90 % of the plausible salt curves lie between low and high. */
  readonly expected: number;
  readonly low: number;
  readonly high: number;
  /** Chance that it passes the peak, 0 to 1. */
  readonly peakChance: number;
}
