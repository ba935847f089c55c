/** What a supplier asks for a pack. */
export interface Offer {
  readonly id: string;
  readonly packGrams: number;
  /** Of one pack, in the maker's currency; null where nobody knows. */
  readonly price: number | null;
  /** Fewer packs are not sold. */
  readonly leastPacks: number;
}

export interface Order {
  readonly offer: string;
  readonly packs: number;
  readonly grams: number;
  /** Null where the price is unknown. */
  readonly price: number | null;
}

/**
 * What buying an amount means with each offer, the cheapest first: whole packs, at least as many as are sold. 340 g in packs
 * of 250 g are two. Of equal prices the smaller amount comes first; what has no price comes last.
 */
export function ordersFor(grams: number, offers: readonly Offer[]): readonly Order[] {
  return offers
    .map(({ id, packGrams, price, leastPacks }): Order => {
      const packs = Math.max(leastPacks, Math.ceil(grams / packGrams));
      return { offer: id, packs, grams: packs * packGrams, price: price === null ? null : packs * price };
    })
    .toSorted((a, b) => (a.price ?? Infinity) - (b.price ?? Infinity) || a.grams - b.grams);
}
