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

export interface Cost {
  /** Materials with a known price. */
  readonly total: number;
  /** Null without a mass. */
  readonly per100Grams: number | null;
  /** Ids of lines without a price: the cost is too low by them. */
  readonly unpriced: readonly string[];
}

/**
 * What the materials of a sheet cost, in the maker's own currency: Σ grams × price ⁄ pack. 120 g out of a pack of 1 kg for 14
 * are 1.68; in 600 g that is 0.28 for 100 g.
 * @param batchGrams what the lines make together
 * @throws Refusal for a pack without content or a price below 0
 */
export function costOf(lines: readonly CostedLine[], batchGrams: number): Cost {
  let total = 0;
  for (const { line, grams, pack } of lines) {
    if (pack === null) continue;
    if (!(pack.packGrams > 0) || !(pack.price >= 0) || !(grams >= 0)) {
      throw new Refusal("not-valid", `The price of line ${line} cannot be used.`, "Type the price and the content of the pack.");
    }
    total += (grams * pack.price) / pack.packGrams;
  }
  return {
    total,
    per100Grams: batchGrams > 0 ? (100 * total) / batchGrams : null,
    unpriced: lines.filter(({ grams, pack }) => pack === null && grams > 0).map(({ line }) => line),
  };
}
