import { readMassGrams } from "@tensidrum/core/quantities";
import type { LotOfLine, ShelfLot } from "@tensidrum/core/inventory";
import type { TypedLineLot } from "./typedSheet";

/** The lots of a line as numbers; grams that cannot be read count as not said. */
export function lineLots(lots: readonly TypedLineLot[]): readonly LotOfLine[] {
  return lots.map(({ grams, assayPercent, pricePerGram }) => {
    const read = readMassGrams(grams);
    return { grams: read.ok ? read.value : null, assayPercent, pricePerGram };
  });
}

/** A lot of the shelf on a line; empty grams are what the others leave. */
export function typedLot({ id, code, assayPercent, price, packGrams }: ShelfLot, grams = ""): TypedLineLot {
  return { lotId: id, code, grams, assayPercent, pricePerGram: price === null ? null : price / packGrams };
}
