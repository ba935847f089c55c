export interface Drops {
  readonly count: number;
  /** Even one drop is more than the risk allows. */
  readonly oneIsTooMuch: boolean;
}

/** A dose in whole drops: the nearest number that stays safe, at least one where one is safe. */
export function wholeDrops({
  wanted,
  safe,
  dropGrams,
}: {
  readonly wanted: number;
  readonly safe: number;
  readonly dropGrams: number;
}): Drops {
  const most = Math.floor(safe / dropGrams + 1e-9);
  if (most < 1) return { count: 0, oneIsTooMuch: true };
  return { count: Math.max(1, Math.min(most, Math.round(wanted / dropGrams))), oneIsTooMuch: false };
}
