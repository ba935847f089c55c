/** Labels that come already cut, in rows and columns of one size, mm. */
interface CutLabels {
  readonly columns: number;
  readonly rows: number;
  readonly widthMm: number;
  readonly heightMm: number;
  /** Of the first one from the left and the upper edge of the sheet. */
  readonly left: number;
  readonly top: number;
  /** Between columns; rows touch. */
  readonly gap: number;
}

interface Paper {
  readonly id: string;
  readonly name: string;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly cut?: CutLabels;
}

const A4 = { widthMm: 210, heightMm: 297 };
const LETTER = { widthMm: 215.9, heightMm: 279.4 };

const cut = (
  columns: number,
  rows: number,
  [widthMm, heightMm]: readonly [number, number],
  at: Pick<CutLabels, "left" | "top" | "gap">,
) => ({
  cut: { columns, rows, widthMm, heightMm, ...at },
});

/** Paper that labels are printed on: whole sheets to cut, and the usual sheets of labels that are cut already. */
export const labelPapers = [
  { id: "a4", name: "A4", ...A4 },
  { id: "letter", name: "Letter", ...LETTER },
  { id: "a4-65", name: "A4, 5 × 13 of 38.1 × 21.2 mm", ...A4, ...cut(5, 13, [38.1, 21.2], { left: 4.75, top: 10.7, gap: 2.5 }) },
  { id: "a4-24", name: "A4, 3 × 8 of 70 × 37 mm", ...A4, ...cut(3, 8, [70, 37], { left: 0, top: 0.5, gap: 0 }) },
  { id: "a4-21", name: "A4, 3 × 7 of 63.5 × 38.1 mm", ...A4, ...cut(3, 7, [63.5, 38.1], { left: 7.25, top: 15.15, gap: 2.5 }) },
  { id: "a4-14", name: "A4, 2 × 7 of 99.1 × 38.1 mm", ...A4, ...cut(2, 7, [99.1, 38.1], { left: 4.65, top: 15.15, gap: 2.5 }) },
  { id: "a4-8", name: "A4, 2 × 4 of 99.1 × 67.7 mm", ...A4, ...cut(2, 4, [99.1, 67.7], { left: 4.65, top: 13.1, gap: 2.5 }) },
  { id: "letter-30", name: "Letter, 3 × 10 of 66.7 × 25.4 mm", ...LETTER, ...cut(3, 10, [66.7, 25.4], { left: 4.7, top: 12.7, gap: 3.2 }) },
  { id: "letter-10", name: "Letter, 2 × 5 of 101.6 × 50.8 mm", ...LETTER, ...cut(2, 5, [101.6, 50.8], { left: 4, top: 12.7, gap: 4.7 }) },
] as const satisfies readonly Paper[];

export type LabelPaper = (typeof labelPapers)[number]["id"];

/** @throws Error for a paper there is none of: whoever asks has checked it. */
export function paperOf(id: LabelPaper): Paper {
  const found: Paper | undefined = labelPapers.find((paper) => paper.id === id);
  if (found === undefined) throw new Error(`there is no paper ${id}`);
  return found;
}

export interface LabelGrid {
  readonly columns: number;
  readonly rows: number;
  /** Upper left corners on one sheet, row by row, mm. */
  readonly places: readonly { readonly x: number; readonly y: number }[];
}

const EPSILON = 1e-9;
const NO_PLACE: LabelGrid = { columns: 0, rows: 0, places: [] };

/**
 * As many labels as a sheet takes, centred across it. 84 by 48 mm on A4 with 8 mm of edge and 2 mm between are 2 by 5. On labels
 * that are cut already each stands in the middle of one. No place where the label is wider or higher than the sheet, or than
 * what is cut, leaves.
 */
export function labelGrid(
  { widthMm, heightMm }: { readonly widthMm: number; readonly heightMm: number },
  paper: LabelPaper,
  { edgeMm = 8, gapMm = 2 }: { readonly edgeMm?: number; readonly gapMm?: number } = {},
): LabelGrid {
  const page = paperOf(paper);
  if (page.cut !== undefined) return onCut({ widthMm, heightMm }, page.cut);
  const fit = (room: number, size: number): number => Math.max(0, Math.floor((room - 2 * edgeMm + gapMm) / (size + gapMm) + EPSILON));
  const [columns, rows] = [fit(page.widthMm, widthMm), fit(page.heightMm, heightMm)];
  if (columns * rows === 0) return NO_PLACE;
  const left = (page.widthMm - (columns * widthMm + (columns - 1) * gapMm)) / 2;
  return {
    columns,
    rows,
    places: Array.from({ length: columns * rows }, (_, at) => ({
      x: left + (at % columns) * (widthMm + gapMm),
      y: edgeMm + Math.floor(at / columns) * (heightMm + gapMm),
    })),
  };
}

function onCut(
  label: { readonly widthMm: number; readonly heightMm: number },
  { columns, rows, widthMm, heightMm, left, top, gap }: CutLabels,
): LabelGrid {
  if (label.widthMm > widthMm + EPSILON || label.heightMm > heightMm + EPSILON) return NO_PLACE;
  return {
    columns,
    rows,
    places: Array.from({ length: columns * rows }, (_, at) => ({
      x: left + (at % columns) * (widthMm + gap) + (widthMm - label.widthMm) / 2,
      y: top + Math.floor(at / columns) * heightMm + (heightMm - label.heightMm) / 2,
    })),
  };
}
