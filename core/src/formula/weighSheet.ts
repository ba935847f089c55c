import { roundToMultiple } from "../quantities/decimals.ts";
import { finestFirst, type Scale } from "../quantities/scales.ts";
import { isTooSmall } from "../quantities/tooSmall.ts";
import { weighOut } from "../quantities/weighOut.ts";
import type { MassBalance } from "./massBalance.ts";
import type { ResolvedSheet } from "./types.ts";

/** A line as it goes to the scale. */
export interface WeighedLine {
  readonly id: string;
  /** % w/w of the formula. */
  readonly percent: number;
  /** Exact. */
  readonly grams: number;
  /** Rounded to the scale; the whole column adds up. */
  readonly gramsToWeigh: number;
  /** Name of the scale; null where the maker has none. */
  readonly scale: string | null;
  readonly tooSmall: boolean;
  /** Active matter the line brings, % w/w of the formula. */
  readonly activePercent: number;
}

/** Grams of every line: batch × percent ⁄ 100, exact and as the maker's scales can show them. */
export function weighSheet(
  sheet: ResolvedSheet,
  balance: MassBalance,
  activePerLine: readonly { readonly percent: number }[],
): readonly WeighedLine[] {
  const { batchGrams, scales } = sheet.formula;
  const masses = sheet.lines.map((resolved) => ({
    massGrams: (batchGrams * resolved.percent) / 100,
    takesTheRest: resolved.line.qs === true && balance.state === "closed",
  }));
  const finest: Scale | undefined = finestFirst(scales)[0];
  const weighed = weighOut(masses, wholeGrams(batchGrams, masses, balance, finest), scales);
  return sheet.lines.map((resolved, index) => {
    const grams = masses[index]?.massGrams ?? 0;
    const chosen = weighed[index];
    return {
      id: resolved.line.id,
      percent: resolved.percent,
      grams,
      gramsToWeigh: chosen?.gramsToWeigh ?? grams,
      scale: chosen?.scale?.name ?? null,
      tooSmall: finest !== undefined && resolved.line.qs !== true && isTooSmall(grams, finest.readabilityGrams),
      activePercent: activePerLine[index]?.percent ?? 0,
    };
  });
}

function wholeGrams(
  batchGrams: number,
  masses: readonly { readonly massGrams: number }[],
  balance: MassBalance,
  finest: Scale | undefined,
): number {
  if (balance.state === "closed") return batchGrams;
  const sum = masses.reduce((total, mass) => total + mass.massGrams, 0);
  return finest === undefined ? sum : roundToMultiple(sum, finest.readabilityGrams);
}
