import { scaleLinear } from "d3-scale";

export const NEARNESS = { width: 400, left: 110, right: 20, top: 26, row: 30, bottom: 22 } as const;

/** Further off than so much of what one would notice is drawn at the edge. */
const MOST_OFF = 4;

export interface NearnessRow {
  readonly what: string;
  /** How far off each round was in what one would notice, the first first; null where nobody measured. */
  readonly offs: readonly (number | null)[];
}

/** Rounds as dots beside the one to come close to: inside its band nobody would notice. */
export function nearnessGeometry(rows: readonly NearnessRow[]) {
  const { width, left, right, top, row, bottom } = NEARNESS;
  const x = scaleLinear([-MOST_OFF, MOST_OFF], [left, width - right]).clamp(true);
  const at = (off: number): number => Math.round(x(off) * 10) / 10;
  return {
    height: top + rows.length * row + bottom,
    middle: at(0),
    band: { from: at(-1), width: at(1) - at(-1) },
    rows: rows.map(({ what, offs }, place) => {
      const y = top + place * row + row / 2;
      const dots = offs.flatMap((off, round) => (off === null ? [] : [{ x: at(off), round, isLast: round === offs.length - 1 }]));
      return { what, y, dots, from: dots[0]?.x ?? 0, to: dots.at(-1)?.x ?? 0 };
    }),
  };
}
