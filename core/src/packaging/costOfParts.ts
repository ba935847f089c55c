import type { Formula } from "../formula/types.ts";
import type { CostedLine } from "./cost.ts";

export interface PartCost {
  readonly name: string;
  /** Materials with a known price. */
  readonly materials: number;
  /** Null for a part without mass. */
  readonly per100Grams: number | null;
}

/**
 * What each named part of a batch costs in materials: its share of the base and what is its own. Of 900 g for 9.00, 300 g
 * with 1 g of its own for 0.30 cost 299 ⁄ 899 of the base, the rest of the price, and 0.30.
 * @param lines those of the whole batch with their prices, as `costOf` takes them
 */
export function costOfParts({ batchGrams, splits = [] }: Formula, lines: readonly CostedLine[]): readonly PartCost[] {
  const own = new Set(splits.flatMap((split) => split.lines.map(({ id }) => id)));
  const base = sumOf(lines.filter(({ line }) => !own.has(line)));
  return splits.map(({ name, sharePercent, lines: ofPart }) => {
    const ids = new Set(ofPart.map(({ id }) => id));
    const added = sumOf(lines.filter(({ line }) => ids.has(line)));
    const grams = (batchGrams * sharePercent) / 100;
    const drawn = Math.max(0, grams - added.grams);
    const materials = (base.grams > 0 ? (base.price * drawn) / base.grams : 0) + added.price;
    return { name, materials, per100Grams: grams > 0 ? (100 * materials) / grams : null };
  });
}

function sumOf(lines: readonly CostedLine[]): { readonly grams: number; readonly price: number } {
  return lines.reduce(
    (sum, { grams, pack }) => ({
      grams: sum.grams + grams,
      price: sum.price + (pack === null || pack.packGrams <= 0 ? 0 : (grams * pack.price) / pack.packGrams),
    }),
    { grams: 0, price: 0 },
  );
}
