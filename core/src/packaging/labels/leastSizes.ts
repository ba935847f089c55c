import { LABEL_FONT, mmOfPoints } from "./labelFont.ts";
import type { LabelField } from "./labelDesign.ts";

/** Height of the figures of a net content by what is in, g: 2, 3, 4 and 6 mm. */
const FIGURES: readonly { readonly upTo: number; readonly mm: number }[] = [
  { upTo: 50, mm: 2 },
  { upTo: 200, mm: 3 },
  { upTo: 1_000, mm: 4 },
  { upTo: Infinity, mm: 6 },
];

/** Smaller print is not read; no law names this number. */
const LEGIBLE_POINTS = 4.5;

/**
 * The least size of a field, pt. The figures of a net content have a least height by what is in (Council Directive
 * 76/211/EEC, Annex I, 3.1): up to 50 g 2 mm, up to 200 g 3 mm, up to 1 kg 4 mm, above 6 mm. Everything else must be legible;
 * 4.5 pt is taken for that.
 */
export function leastPointsOf(field: LabelField, netGrams: number): number {
  if (field !== "net") return LEGIBLE_POINTS;
  const mm = FIGURES.find(({ upTo }) => netGrams <= upTo)?.mm ?? 6;
  return Math.ceil((10 * mm) / (mmOfPoints(1) * LABEL_FONT.capital)) / 10;
}
