import type { LotShare } from "./bookedForBatch.ts";

/** Smaller shares than this are none: the ledger counts in milligrams. */
const LEAST_GRAMS = 0.001;

/**
 * Shares of a batch after grams that were booked on one lot of a line turn out to be from another. A line of which 110 g
 * were weighed against a share of 100 g has 1.1 g for each gram of its share, so 22 g weighed are 20 g of share.
 * @param weighedGrams what was weighed of the line in all, g, above 0
 * @param move how much of it came from `to` instead of `from`, g
 */
export function shiftShare(
  shares: readonly LotShare[],
  weighedGrams: number,
  move: { readonly line: string; readonly from: string; readonly to: string; readonly grams: number },
): readonly LotShare[] {
  const ofLine = shares.filter(({ line }) => line === move.line);
  const planned = ofLine.reduce((sum, { grams }) => sum + grams, 0);
  const given = ofLine.find(({ lotId }) => lotId === move.from)?.grams ?? 0;
  const share = Math.min(given, (move.grams * planned) / weighedGrams);
  const others = shares.filter(({ line, lotId }) => line !== move.line || (lotId !== move.from && lotId !== move.to));
  const held = ofLine.find(({ lotId }) => lotId === move.to)?.grams ?? 0;
  return [
    ...others,
    { line: move.line, lotId: move.from, grams: given - share },
    { line: move.line, lotId: move.to, grams: held + share },
  ].filter(({ grams }) => grams >= LEAST_GRAMS);
}
