import type { ShelfLot } from "./shelfLot.ts";

/** A lot and what of it goes into a line, g; null takes what the others leave. */
export interface LotToUse {
  readonly lot: ShelfLot;
  readonly grams: number | null;
}

/**
 * The lots a line is weighed from when nobody has said: what ends first is used up first, and as many lots as it takes. Where all
 * together do not reach, all of them; none where none stands there.
 * @param lots All that stand on the shelf.
 * @param material Slug.
 * @param grams What the line takes, g.
 */
export function lotsToUseFirst(lots: readonly ShelfLot[], material: string, grams: number): readonly LotToUse[] {
  const inOrder = lots
    .filter((lot) => lot.material === material && lot.leftGrams > 0)
    .toSorted((a, b) => (a.endsOn ?? "9999").localeCompare(b.endsOn ?? "9999"));
  const taken: LotToUse[] = [];
  let open = grams;
  for (const lot of inOrder) {
    const isLast = lot.leftGrams >= open || lot === inOrder.at(-1);
    taken.push({ lot, grams: isLast ? null : lot.leftGrams });
    if (isLast) break;
    open -= lot.leftGrams;
  }
  return taken;
}
