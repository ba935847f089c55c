import type { LotShare } from "@tensidrum/core/inventory";

interface StandingLot {
  readonly id: string;
  readonly freeGrams: number;
}

export interface WishedLine {
  readonly line: string;
  readonly grams: number;
  /** Lots of its material, the one to be used up first before the others. */
  readonly lots: readonly StandingLot[];
  /** Lots chosen on the sheet with their grams; null grams are what the others leave. */
  readonly chosen: readonly { readonly lotId: string; readonly grams: number | null }[];
}

/** From which lots a line is to be taken: those chosen on the sheet, else one after the other until there is enough. */
export function proposeLots({ line, grams, lots, chosen }: WishedLine): readonly LotShare[] {
  if (chosen.length > 0) {
    const said = chosen.reduce((sum, lot) => sum + (lot.grams ?? 0), 0);
    const open = chosen.filter((lot) => lot.grams === null).length;
    const rest = Math.max(0, grams - said) / Math.max(1, open);
    return chosen.flatMap((lot) => {
      const share = lot.grams ?? rest;
      return share > 0 ? [{ lotId: lot.lotId, line, grams: share }] : [];
    });
  }
  const shares: LotShare[] = [];
  let left = grams;
  for (const { id, freeGrams } of lots) {
    if (left <= 0) break;
    const share = Math.min(left, freeGrams);
    if (share > 0) shares.push({ lotId: id, line, grams: share });
    left -= share;
  }
  // What no lot holds is asked of the first, so that it is told to be short.
  const [first] = lots;
  if (left > 1e-9 && first !== undefined) return [{ lotId: first.id, line, grams }];
  return shares;
}
