export type MarketSlug = "eu" | "uk" | "canada";

/** From which amount on scent allergens are named on the label of a place, and where that is written. */
export interface Market {
  readonly slug: MarketSlug;
  readonly name: string;
  /** % w/w of a product that is rinsed off. */
  readonly rinsedPercent: number;
  /** % w/w of a product that stays on. */
  readonly leftOnPercent: number;
  /** The law the figures are taken from; the authority has the last word. */
  readonly source: string;
}

const NAMED_ABOVE = { rinsedPercent: 0.01, leftOnPercent: 0.001 };

export const markets: readonly Market[] = [
  {
    slug: "eu",
    name: "European Union",
    ...NAMED_ABOVE,
    source: "Regulation (EC) No 1223/2009, Annex III; list of names extended by Regulation (EU) 2023/1545",
  },
  { slug: "uk", name: "United Kingdom", ...NAMED_ABOVE, source: "Regulation (EC) No 1223/2009 as retained, Annex III" },
  {
    slug: "canada",
    name: "Canada",
    ...NAMED_ABOVE,
    source: "Cosmetic Regulations as amended by SOR/2024-63, which follow the lists of the European Union",
  },
];

/** Where nobody says otherwise. */
export const usualMarket: Market = markets[0]!;

/** The market of that slug, or `undefined`. */
export function marketOf(slug: string): Market | undefined {
  return markets.find((market) => market.slug === slug);
}
