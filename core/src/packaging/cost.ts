import { Refusal } from "../quantities/refusal.ts";

/** Price of a pack. */
export interface PackPrice {
  readonly price: number;
  readonly packGrams: number;
}

export interface CostedLine {
  readonly line: string;
  readonly grams: number;
  /** Of the lot it was taken from; null where nobody knows. */
  readonly pack: PackPrice | null;
}

export interface CostedPiece {
  readonly name: string;
  readonly count: number;
  readonly priceEach: number;
}

export interface CostWish {
  readonly lines: readonly CostedLine[];
  /** Bottles, pumps, labels. */
  readonly pieces: readonly CostedPiece[];
  /** What came out to be filled, g. */
  readonly yieldGrams: number;
  readonly containers: number;
  /** Share of the price that is to stay, 0 up to under 100 %. */
  readonly marginPercent?: number;
  /** What the shop asks for 100 g of the like. */
  readonly shopPricePer100Grams?: number;
}

export interface Cost {
  /** Materials with a known price. */
  readonly materials: number;
  readonly packaging: number;
  readonly total: number;
  /** Null without a yield. */
  readonly per100Grams: number | null;
  readonly perContainer: number | null;
  /** Price of a container that leaves the wanted margin. */
  readonly priceForMargin: number | null;
  /** Our cost as a part of the shop's price; null where one is unknown. */
  readonly shopRatio: number | null;
  /** Ids of lines without a price: the cost is too low by them. */
  readonly unpriced: readonly string[];
}

/**
 * What a batch costs, in the maker's own currency: Σ grams × price ⁄ pack over the lots used, packaging by the piece. 120 g
 * out of a pack of 1 kg for 14 are 1.68; 11 bottles at 0.90 are 9.90; together 11.58, per bottle 1.0527, and sold for
 * 1.7545 each when 40 % of the price is to stay.
 * @throws Refusal for a pack without content, a price below 0 or a margin of 100 % and more.
 */
export function costOf({ lines, pieces, yieldGrams, containers, marginPercent = 0, shopPricePer100Grams }: CostWish): Cost {
  if (!(marginPercent >= 0 && marginPercent < 100)) {
    throw new Refusal("not-possible", `A margin of ${marginPercent} % has no price.`, "Type a margin from 0 to under 100 %.");
  }
  let materials = 0;
  for (const { line, grams, pack } of lines) {
    if (pack === null) continue;
    if (!(pack.packGrams > 0) || !(pack.price >= 0) || !(grams >= 0)) {
      throw new Refusal("not-valid", `The price of line ${line} cannot be used.`, "Type the price and the content of the pack.");
    }
    materials += (grams * pack.price) / pack.packGrams;
  }
  const packaging = pieces.reduce((sum, { count, priceEach }) => sum + count * priceEach, 0);
  const total = materials + packaging;
  const per100Grams = yieldGrams > 0 ? (100 * total) / yieldGrams : null;
  const perContainer = containers > 0 ? total / containers : null;
  const shop = shopPricePer100Grams ?? 0;
  return {
    materials,
    packaging,
    total,
    per100Grams,
    perContainer,
    priceForMargin: perContainer === null ? null : perContainer / (1 - marginPercent / 100),
    shopRatio: per100Grams !== null && shop > 0 ? per100Grams / shop : null,
    unpriced: lines.filter(({ grams, pack }) => pack === null && grams > 0).map(({ line }) => line),
  };
}
