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
 * A small lower quantile of values that errs to the low side: the smaller of the empirical one and an exponential tail
 * through the lowest 5 % of the logarithms of those above 0 (peaks over threshold, Davison and Smith 1990). 0 when more than
 * that share is not above 0; a smaller share counts against it.
 */
export function cautiousLowQuantile(values: ArrayLike<number>, share: number): number {
  const all = Float64Array.from(values).sort();
  let gone = 0;
  while (gone < all.length && all[gone]! <= 0) gone += 1;
  const sorted = all.subarray(gone);
  const left = (share * all.length - gone) / sorted.length;
  if (!(left > 0)) return 0;
  const inTail = Math.max(2, Math.ceil(TAIL_SHARE * sorted.length));
  const threshold = sorted[inTail]!;
  let excess = 0;
  for (let k = 0; k < inTail; k += 1) excess += Math.log(threshold / sorted[k]!);
  const byTail = threshold * (left / (inTail / sorted.length)) ** (excess / inTail);
  return Math.min(byTail, quantileOfSorted(sorted, left));
}
