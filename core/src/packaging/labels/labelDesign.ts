import type { MarketSlug } from "../../library/markets.ts";

/** What can stand on a label. */
export const labelFields = [
  "name",
  "what",
  "directions",
  "ingredients",
  "cautions",
  "net",
  "batch",
  "best-before",
  "after-opening",
  "made-in",
  "contact",
  "text",
  "qr",
] as const;

export type LabelField = (typeof labelFields)[number];

export const labelAligns = ["left", "centre", "right"] as const;

export type LabelAlign = (typeof labelAligns)[number];

/** A field in its place; mm from the upper left corner. */
export interface LabelBox {
  readonly id: string;
  readonly field: LabelField;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  /** As it should be; it shrinks to `leastPoints` where the text does not fit. */
  readonly points: number;
  readonly leastPoints: number;
  readonly align: LabelAlign;
  readonly isBold: boolean;
  /** In the maker's own words instead of what the batch says; the second language stands in a box of its own. */
  readonly text: string;
}

export const netsIn = ["mass", "volume"] as const;

export type NetIn = (typeof netsIn)[number];

/** A label to true scale. */
export interface LabelDesign {
  readonly format: "tensidrum-label/1";
  readonly name: string;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly naming: "inci" | "common";
  /** Best before so many months after it was made, unless a lot ends earlier. */
  readonly months: number;
  /** To be used up within so many months once it is open; null where nothing is said of it. */
  readonly openMonths: number | null;
  /** Whose list and thresholds of scent allergens count. */
  readonly market: MarketSlug;
  /** The net content as mass in g and oz, or as volume in mL and fl oz. */
  readonly netIn: NetIn;
  /** One label for all parts of a batch: what only some of them hold is told as "may contain". */
  readonly isShared: boolean;
  readonly boxes: readonly LabelBox[];
}

/** What the batch says for each field. */
export type LabelTexts = Readonly<Record<Exclude<LabelField, "text" | "qr">, string>>;
