import type { FormulaLine } from "./types.ts";

/** Below this a sheet without a q.s. line is open, % w/w. */
export const OPEN_BELOW_PERCENT = 99.995;
/** Above this a sheet without a q.s. line has too much, % w/w. */
export const OVER_ABOVE_PERCENT = 100.005;

/** Sums of typed percentages carry noise of this size, % w/w. */
const SUM_NOISE_PERCENT = 1e-9;

export type MassState = "closed" | "open" | "over";

export interface MassBalance {
  readonly state: MassState;
  readonly hasQs: boolean;
  /** Σ of the lines that carry a percent, % w/w. */
  readonly othersPercent: number;
  /** What the q.s. line gets, % w/w; 0 when the others leave nothing or no line is q.s.. */
  readonly qsPercent: number;
  /** Sum of the whole sheet, % w/w. */
  readonly totalPercent: number;
  /** What is still missing to 100, % w/w. */
  readonly openPercent: number;
}

/**
 * The q.s. line gets 100 − Σ others; below 0 is an error. Without one the sheet is open below 99.995 % and has too
 * much above 100.005 %.
 */
export function massBalance(lines: readonly Pick<FormulaLine, "percent" | "qs">[]): MassBalance {
  let others = 0;
  let hasQs = false;
  for (const line of lines) {
    if (line.qs === true) hasQs = true;
    else others += line.percent ?? 0;
  }
  const left = 100 - others;
  if (hasQs) {
    const over = left < -SUM_NOISE_PERCENT;
    const qsPercent = Math.max(0, left);
    return {
      state: over ? "over" : "closed",
      hasQs,
      othersPercent: others,
      qsPercent,
      totalPercent: over ? others : 100,
      openPercent: 0,
    };
  }
  const state = others < OPEN_BELOW_PERCENT ? "open" : others > OVER_ABOVE_PERCENT ? "over" : "closed";
  return {
    state,
    hasQs,
    othersPercent: others,
    qsPercent: 0,
    totalPercent: others,
    openPercent: state === "open" ? left : 0,
  };
}
