/** What is taken of one lot. */
export interface LotTaken {
  readonly grams: number;
  /** Active content by its certificate, %; null where there is none. */
  readonly assayPercent: number | null;
  /** Per gram; null where unknown. */
  readonly pricePerGram: number | null;
}

export interface MixOfLots {
  readonly grams: number;
  /** Mean by mass, %; null unless every lot has a certificate. */
  readonly assayPercent: number | null;
  /** What it costs in all; null unless every lot has a price. */
  readonly price: number | null;
}

/**
 * Several lots in one line: grams add up, assays mix by mass, prices add up. 60 g at 30 % and 20 g at 28 % are 80 g at
 * 29.5 %. A lot of which nothing is taken says nothing; nothing taken at all has neither assay nor price.
 */
export function mixOfLots(lots: readonly LotTaken[]): MixOfLots {
  const taken = lots.filter(({ grams }) => grams > 0);
  const grams = taken.reduce((sum, lot) => sum + lot.grams, 0);
  const weighted = (of: (lot: LotTaken) => number | null): number | null =>
    taken.reduce<number | null>((sum, lot) => {
      const value = of(lot);
      return sum === null || value === null ? null : sum + lot.grams * value;
    }, 0);
  if (grams === 0) return { grams, assayPercent: null, price: null };
  const actives = weighted(({ assayPercent }) => assayPercent);
  return { grams, assayPercent: actives === null ? null : actives / grams, price: weighted(({ pricePerGram }) => pricePerGram) };
}
