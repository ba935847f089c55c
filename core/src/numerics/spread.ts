export interface MeanAndSpread {
  readonly mean: number;
  /** Sample standard deviation; null for one value. */
  readonly spread: number | null;
}

/**
 * The mean of values and how far they lie apart, √(Σ (x − mean)² ⁄ (n − 1)). 58, 60 and 65 have a mean of 61 and a spread of
 * 3.6. Of none the mean is no number.
 */
export function meanAndSpread(values: readonly number[]): MeanAndSpread {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  if (values.length < 2) return { mean, spread: null };
  return { mean, spread: Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (values.length - 1)) };
}
