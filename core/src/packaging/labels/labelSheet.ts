/** Paper that labels are printed on, mm. */
export const labelPapers = {
  a4: { name: "A4", widthMm: 210, heightMm: 297 },
  letter: { name: "Letter", widthMm: 215.9, heightMm: 279.4 },
} as const;

export type LabelPaper = keyof typeof labelPapers;

export interface LabelGrid {
  readonly columns: number;
  readonly rows: number;
  /** Upper left corners on one sheet, row by row, mm. */
  readonly places: readonly { readonly x: number; readonly y: number }[];
}

const EPSILON = 1e-9;

/**
 * As many labels as a sheet takes, centred across it. 84 by 48 mm on A4 with 8 mm of edge and 2 mm between are 2 by 5. No place
 * where the label is wider or higher than the sheet leaves.
 */
export function labelGrid(
  { widthMm, heightMm }: { readonly widthMm: number; readonly heightMm: number },
  paper: LabelPaper,
  { edgeMm = 8, gapMm = 2 }: { readonly edgeMm?: number; readonly gapMm?: number } = {},
): LabelGrid {
  const page = labelPapers[paper];
  const fit = (room: number, size: number): number => Math.max(0, Math.floor((room - 2 * edgeMm + gapMm) / (size + gapMm) + EPSILON));
  const [columns, rows] = [fit(page.widthMm, widthMm), fit(page.heightMm, heightMm)];
  const left = (page.widthMm - (columns * widthMm + (columns - 1) * gapMm)) / 2;
  return {
    columns,
    rows: columns === 0 ? 0 : rows,
    places: Array.from({ length: columns * rows }, (_, at) => ({
      x: left + (at % columns) * (widthMm + gapMm),
      y: edgeMm + Math.floor(at / columns) * (heightMm + gapMm),
    })),
  };
}
