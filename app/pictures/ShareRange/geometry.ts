import { scaleLog } from "d3-scale";

export const SHARE_RANGE = { width: 340, height: 26, left: 6, right: 6 } as const;

/** Less than this is drawn as this, % w/w. */
export const LEAST_SHARE = 0.001;
const MOST_SHARE = 100;
const SIGNIFICANT = 2;

const scale = scaleLog([LEAST_SHARE, MOST_SHARE], [SHARE_RANGE.left, SHARE_RANGE.width - SHARE_RANGE.right]).clamp(true);

export interface ShareRangeAsk {
  /** % w/w */
  readonly min: number;
  readonly max: number;
  readonly typical: number;
}

/** A share between its least and its most on a logarithmic scale, and where it typically is. */
export function shareRangeGeometry({ min, max, typical }: ShareRangeAsk) {
  const at = (percent: number): number => Math.round(scale(Math.max(LEAST_SHARE, percent)) * 10) / 10;
  return { from: at(min), width: Math.max(2, at(max) - at(min)), typical: at(typical) };
}

/** Powers of ten, with where they stand. */
export const shareTicks = [0.001, 0.01, 0.1, 1, 10, 100].map((value) => ({ value, x: Math.round(scale(value) * 10) / 10 }));

/** The share that stands at a place of the picture, to two digits, % w/w. */
export function shareAt(x: number): number {
  return Number(scale.invert(x).toPrecision(SIGNIFICANT));
}
