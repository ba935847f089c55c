/** What a batch has promised and used of a lot, g, both positive. */
export interface Booked {
  readonly reservedGrams: number;
  readonly usedGrams: number;
}

export interface Booking {
  readonly kind: "reserve" | "release" | "use" | "correct";
  /** Signed as the books write it. */
  readonly grams: number;
}

/** The ledger counts in milligrams: what differs by less than half of one is the same. */
const NOISE_GRAMS = 0.0005;
const PER_GRAM = 1000;

/** To whole milligrams, without the noise of binary sums. */
const booked = (grams: number): number => Math.round(grams * PER_GRAM) / PER_GRAM;

/**
 * What must be entered so that the books say what a batch has promised and used: a promise is taken back by a release, too
 * much used by a correction. 100 g promised and nothing used become 98 g used: release 100, use 98.
 */
export function bookedForBatch(books: Booked, wanted: Booked): readonly Booking[] {
  const promised = wanted.reservedGrams - books.reservedGrams;
  const used = wanted.usedGrams - books.usedGrams;
  return [
    ...(promised > NOISE_GRAMS ? [{ kind: "reserve" as const, grams: booked(-promised) }] : []),
    ...(promised < -NOISE_GRAMS ? [{ kind: "release" as const, grams: booked(-promised) }] : []),
    ...(used > NOISE_GRAMS ? [{ kind: "use" as const, grams: booked(-used) }] : []),
    ...(used < -NOISE_GRAMS ? [{ kind: "correct" as const, grams: booked(-used) }] : []),
  ];
}

/** A lot's share in a line of a batch. */
export interface LotShare {
  readonly lotId: string;
  readonly line: string;
  readonly grams: number;
}

/**
 * What each lot is to have promised and used: a line that is weighed uses its lots in the proportion they were promised,
 * one that is not weighed yet keeps its promise, and a batch that is finished promises nothing any more.
 */
export function wantedOfLots(
  shares: readonly LotShare[],
  weighed: ReadonlyMap<string, number | null>,
  isFinished: boolean,
): ReadonlyMap<string, Booked> {
  const planned = new Map<string, number>();
  for (const { line, grams } of shares) planned.set(line, (planned.get(line) ?? 0) + grams);
  const wanted = new Map<string, Booked>();
  for (const { lotId, line, grams } of shares) {
    const actual = weighed.get(line) ?? null;
    const before = wanted.get(lotId) ?? { reservedGrams: 0, usedGrams: 0 };
    const used = actual === null ? 0 : (actual * grams) / (planned.get(line) ?? grams);
    const reserved = actual === null && !isFinished ? grams : 0;
    wanted.set(lotId, { reservedGrams: before.reservedGrams + reserved, usedGrams: before.usedGrams + used });
  }
  return wanted;
}
