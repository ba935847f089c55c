import type { FormulaChange } from "../formula/changes/formulaChange.ts";
import type { ResolvedLine } from "../formula/types.ts";
import { roomPercent, sumPercent, type Judged } from "./judged.ts";

/** Shares are offered with so many decimals, % w/w. */
const DECIMALS = 3;
const STEP = 10 ** -DECIMALS;
/** Rounding noise of a division. */
const NOISE = 1e-9;

export function roundedUp(percent: number): number {
  return Number((Math.ceil(percent / STEP - NOISE) * STEP).toFixed(DECIMALS));
}

export function roundedDown(percent: number): number {
  return Number((Math.floor(percent / STEP + NOISE) * STEP).toFixed(DECIMALS));
}

/** Lines of a named part and the q.s. line have no share of their own to set. */
function canBeSet({ sheet }: Judged, { line }: ResolvedLine): boolean {
  return line.qs !== true && sheet.formula.lines.some(({ id }) => id === line.id);
}

/**
 * All these lines by one factor, upwards rounded up, downwards rounded down. Undefined where one of them has no share of
 * its own or the rest has no room.
 */
export function scaledLines(judged: Judged, lines: readonly ResolvedLine[], factor: number): FormulaChange | undefined {
  if (lines.length === 0 || !lines.every((resolved) => canBeSet(judged, resolved))) return undefined;
  const rounded = factor > 1 ? roundedUp : roundedDown;
  const percents = lines.map(({ line, percent }) => ({ line: line.id, percent: rounded(percent * factor) }));
  if (sumPercent(percents) - sumPercent(lines) > roomPercent(judged)) return undefined;
  return { kind: "percents", percents };
}

/** One line to a share of its own; undefined where it has none or the rest has no room. */
export function lineSetTo(judged: Judged, resolved: ResolvedLine, percent: number): FormulaChange | undefined {
  return scaledLines(judged, [resolved], percent / resolved.percent);
}

/** A new line beside another; undefined where the rest has no room for it. */
export function lineAdded(judged: Judged, material: string, percent: number, beside: ResolvedLine): FormulaChange | undefined {
  const isOfSheet = judged.sheet.formula.lines.some(({ id }) => id === beside.line.id);
  if (!isOfSheet || percent > roomPercent(judged)) return undefined;
  return { kind: "add", material, percent: roundedUp(percent), beside: beside.line.id };
}

/** Spread into a finding: nothing where there is no change to offer. */
export function offering(change: FormulaChange | undefined): { readonly change?: FormulaChange } {
  return change === undefined ? {} : { change };
}
