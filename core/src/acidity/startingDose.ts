/** What an earlier batch of the same version took in all. */
export interface EarlierTotal {
  readonly totalGrams: number;
  readonly batchGrams: number;
  /** Of the solution it was dosed with, % w/w. */
  readonly strengthPercent: number;
}

/** Part of the known total that goes in at once. */
const START_SHARE = 0.9;

/** How much of its own solution a batch took, % of the batch. */
export function percentOfBatch({ totalGrams, batchGrams }: EarlierTotal): number {
  return (100 * totalGrams) / batchGrams;
}

/**
 * First dose of the next batch of a version: 90 % of what the last one took, for its size and solution. 3 g of a 50 %
 * solution in 500 g is 10.8 g of a 25 % one in 1,000 g.
 */
export function startingDoseGrams(earlier: EarlierTotal, batchGrams: number, strengthPercent: number): number {
  return (START_SHARE * percentOfBatch(earlier) * batchGrams * (earlier.strengthPercent / strengthPercent)) / 100;
}
