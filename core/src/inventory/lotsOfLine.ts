import { mixOfLots, type MixOfLots } from "./mixOfLots.ts";

/** A lot a line is to be weighed from. */
export interface LotOfLine {
  /** Null: what the others leave of the line. */
  readonly grams: number | null;
  /** Active content by its certificate, %; null where there is none. */
  readonly assayPercent: number | null;
  /** Null where unknown. */
  readonly pricePerGram: number | null;
}

export interface LotsOfLine extends MixOfLots {
  /** What each lot gives, g, in the order of the lots. */
  readonly eachGrams: readonly number[];
  /** Of the line not covered by the lots, g; negative where they come to more. Null where the line's mass is unknown. */
  readonly openGrams: number | null;
}

/**
 * What a line takes of its lots: the grams that are said, and what is left of the line from those without, in equal
 * parts. A line of 120 g with 60 g of one lot at 30 % and the rest of one at 28 % has 29 %. While the mass of the line is
 * not known, lots without grams weigh alike beside each other and nothing beside those with.
 */
export function lotsOfLine(lots: readonly LotOfLine[], lineGrams: number | null): LotsOfLine {
  const said = lots.reduce((sum, { grams }) => sum + (grams ?? 0), 0);
  const open = lots.filter(({ grams }) => grams === null).length;
  const left = lineGrams === null ? (said > 0 ? 0 : open) : Math.max(0, lineGrams - said);
  const eachGrams = lots.map(({ grams }) => grams ?? left / open);
  const mix = mixOfLots(lots.map((lot, at) => ({ ...lot, grams: eachGrams[at] ?? 0 })));
  const openGrams = lineGrams === null ? null : open > 0 && said <= lineGrams ? 0 : lineGrams - said;
  return { ...mix, eachGrams, openGrams };
}
