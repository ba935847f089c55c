import type { LinearSolver } from "../../numerics/index.ts";
import type { MaterialsBySlug } from "../../library/material.ts";
import { unmix } from "./unmix.ts";

const PER_PERCENT = 100;

export type PrintedShares =
  { readonly found: true; readonly percents: readonly number[] } | { readonly found: false; readonly reason: string };

/**
 * Shares behind a printed list, % w/w to two decimals, an estimate from the order of the names and their usual amounts.
 * They come to 100: what rounding leaves stands with the first, of which there is most.
 */
export function printedShares(names: readonly string[], library: MaterialsBySlug, solver: LinearSolver): PrintedShares {
  const list = { ingredients: names.map((name) => ({ name })), onePercentLineAfter: null };
  const { ranges, feasible, text } = unmix(list, library, solver);
  if (!feasible) return { found: false, reason: text };
  const rounded = ranges.map(({ typical }) => Math.round(typical * PER_PERCENT) / PER_PERCENT);
  const left = 100 - rounded.reduce((sum, percent) => sum + percent, 0);
  return { found: true, percents: rounded.map((percent, at) => Number((percent + (at === 0 ? left : 0)).toFixed(2))) };
}
