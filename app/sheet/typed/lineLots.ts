import { readMassGrams } from "@tensidrum/core/quantities";
import type { LotOfLine } from "@tensidrum/core/inventory";
import type { TypedLineLot } from "./typedSheet";

/** The lots of a line as numbers; grams that cannot be read count as not said. */
export function lineLots(lots: readonly TypedLineLot[]): readonly LotOfLine[] {
  return lots.map(({ grams, assayPercent, pricePerGram }) => {
    const read = readMassGrams(grams);
    return { grams: read.ok ? read.value : null, assayPercent, pricePerGram };
  });
}
