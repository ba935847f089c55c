import type { MaterialPart } from "../library/material.ts";
import type { PackPrice } from "../packaging/cost.ts";

/** A lot that stands on the shelf, as the Sheet counts with it. */
export interface ShelfLot {
  readonly id: string;
  /** Slug of its material. */
  readonly material: string;
  readonly code: string;
  readonly leftGrams: number;
  readonly packGrams: number;
  /** Active content by its certificate, %; null where there is none. */
  readonly assayPercent: number | null;
  /** Of the whole pack; null where unknown. */
  readonly price: number | null;
  /** What a stock solution is made of; null for anything else. */
  readonly solutionOf: readonly MaterialPart[] | null;
  /** Written 2026-11-26; null where it does not say. */
  readonly endsOn: string | null;
}

/**
 * What a gram of a material costs just now: the price of the lot that is to be used up first, the one that ends first. One
 * without an end comes after those with one, one without a price or with nothing left does not count. Null without any.
 */
export function packPriceOf(lots: readonly ShelfLot[], material: string): PackPrice | null {
  const priced = lots
    .filter((lot) => lot.material === material && lot.leftGrams > 0)
    .toSorted((a, b) => (a.endsOn ?? "9999").localeCompare(b.endsOn ?? "9999"))
    .find(({ price }) => price !== null);
  return priced?.price == null ? null : { price: priced.price, packGrams: priced.packGrams };
}
