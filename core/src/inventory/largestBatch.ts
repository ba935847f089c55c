import type { Formula } from "../formula/types.ts";
import type { MaterialsBySlug } from "../library/material.ts";
import { needsOf } from "./needsOf.ts";

/** How much of a formula the shelf makes. */
export interface LargestBatch {
  /** Null where nothing limits it: it holds water alone. */
  readonly grams: number | null;
  /** What is used up first, or what is not there at all; slugs of materials. */
  readonly limitedBy: readonly string[];
}

/**
 * The largest batch that the shelf allows: for each material what is free ÷ its share, the least of all. 84 g of a betaine at
 * 12 % and 300 g of glycerin at 5 % allow 700 g, and the betaine is used up. Water is there, whether a lot of it stands on the
 * shelf or not. What is not there at all is told whole: all of it, not the first.
 * @param freeGrams by slug, of all lots that may be taken
 * @throws Refusal when a material is unknown
 */
export function largestBatch(formula: Formula, freeGrams: ReadonlyMap<string, number>, library: MaterialsBySlug): LargestBatch {
  const shares = needsOf(formula, library);
  const allowed = [...shares].map(([material, percent]) => ({ material, grams: (100 * (freeGrams.get(material) ?? 0)) / percent }));
  const grams = allowed.reduce<number | null>((least, one) => (least === null ? one.grams : Math.min(least, one.grams)), null);
  return { grams, limitedBy: allowed.filter((one) => one.grams === grams).map(({ material }) => material) };
}
