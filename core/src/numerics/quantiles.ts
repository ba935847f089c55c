/** The value that a share of the sorted values lies below, by straight line between neighbours. */
export function quantileOfSorted(sorted: ArrayLike<number>, share: number): number {
  const place = share * (sorted.length - 1);
  const below = Math.floor(place);
  const low = sorted[below]!;
  const high = sorted[Math.min(below + 1, sorted.length - 1)]!;
  // Equal neighbours may both be infinite.
  return low === high ? low : low + (place - below) * (high - low);
}

export function median(values: ArrayLike<number>): number {
  return quantileOfSorted(Float64Array.from(values).sort(), 0.5);
}

/** The tail is read off this share of the values, so that it never rests on a handful. */
const TAIL_SHARE = 0.05;

/**
 * A small lower quantile of positive values that errs to the low side: the smaller of the empirical one and an
 * exponential tail through the lowest 5 % of the logarithms (peaks over threshold, Davison and Smith 1990). 0 when that
 * many values are not above 0.
 */
export function cautiousLowQuantile(values: ArrayLike<number>, share: number): number {
  const sorted = Float64Array.from(values).sort();
  const inTail = Math.max(2, Math.ceil(TAIL_SHARE * sorted.length));
  const threshold = sorted[inTail]!;
  if (threshold <= 0) return 0;
  let excess = 0;
  for (let k = 0; k < inTail; k += 1) {
    if (sorted[k]! <= 0) return 0;
    excess += Math.log(threshold / sorted[k]!);
  }
  const byTail = threshold * (share / (inTail / sorted.length)) ** (excess / inTail);
  return Math.min(byTail, quantileOfSorted(sorted, share));
}
