import { activeMatterOfLine } from "../activeMatter.ts";
import type { Charge, MaterialsBySlug } from "../../library/material.ts";
import { massBalance } from "../../formula/massBalance.ts";
import { resolveLines } from "../../formula/resolveLines.ts";
import type { Formula, FormulaLine } from "../../formula/types.ts";

export const cornerCharges = ["anionic", "amphoteric", "nonionic"] as const;

export type CornerCharge = (typeof cornerCharges)[number];

/** Shares among anionic, amphoteric and nonionic, %, summing to 100. */
export type CornerShares = Readonly<Record<CornerCharge, number>>;

export interface Rebalanced {
  readonly formula: Formula;
  /** Lines that change, % w/w. */
  readonly percents: readonly { readonly line: string; readonly percent: number }[];
  /** What was reached: short of the wish where a type is missing or the rest is used up. */
  readonly shares: CornerShares;
  readonly stopped: "type-missing" | "rest-used-up" | null;
}

interface Corner {
  /** Active matter of lines that bring this type alone, % w/w. */
  movable: number;
  /** Active matter of this type in lines that bring several, % w/w. */
  fixed: number;
}

/** Shares of the three types in a formula, %; null without any of them. */
export function cornerShares(formula: Formula, library: MaterialsBySlug): CornerShares | null {
  const { corners } = laidOut(formula, library);
  const total = cornerCharges.reduce((sum, charge) => sum + corners[charge].movable + corners[charge].fixed, 0);
  if (total <= 0) return null;
  const share = (charge: CornerCharge): number => (100 * (corners[charge].movable + corners[charge].fixed)) / total;
  return { anionic: share("anionic"), amphoteric: share("amphoteric"), nonionic: share("nonionic") };
}

/**
 * Moves the balance of the types at constant active matter and constant ratio inside each type; cationics and lines of
 * several types stay. It goes as far towards the wish as the types present and the line of the rest allow. From 6 % −
 * and 6 % ± to 25 : 75 the anionic lines halve and the amphoteric ones grow by a half.
 */
export function rebalance(formula: Formula, wished: CornerShares, library: MaterialsBySlug): Rebalanced {
  const from = cornerShares(formula, library);
  const unchanged = (shares: CornerShares, stopped: Rebalanced["stopped"]): Rebalanced => ({ formula, percents: [], shares, stopped });
  if (from === null) return unchanged(wished, "type-missing");
  const { corners, charges, percentOf } = laidOut(formula, library);
  const total = cornerCharges.reduce((sum, charge) => sum + corners[charge].movable + corners[charge].fixed, 0);
  const { shares: reachable, missing } = withinTypes(wished, corners, total);
  const percentsAt = (shares: CornerShares): readonly { readonly line: string; readonly percent: number }[] =>
    [...charges].map(([line, charge]) => {
      const { movable, fixed } = corners[charge];
      const factor = movable > 0 ? Math.max(0, (shares[charge] * total) / 100 - fixed) / movable : 1;
      return { line, percent: percentOf(line) * factor };
    });
  const room = massBalance(formula.lines).qsPercent;
  const growth = percentsAt(reachable).reduce((sum, { line, percent }) => sum + percent - percentOf(line), 0);
  // The way is straight, so the rest is used up in proportion to it.
  const part = growth > room ? room / growth : 1;
  const shares = Object.fromEntries(
    cornerCharges.map((charge) => [charge, from[charge] + (reachable[charge] - from[charge]) * part]),
  ) as CornerShares & object;
  const percents = percentsAt(shares);
  const now = new Map(percents.map(({ line, percent }) => [line, percent]));
  const lines = formula.lines.map((line): FormulaLine => {
    const percent = now.get(line.id);
    return percent === undefined || line.qs === true ? line : { ...line, percent };
  });
  return { formula: { ...formula, lines }, percents, shares, stopped: part < 1 ? "rest-used-up" : missing ? "type-missing" : null };
}

function laidOut(formula: Formula, library: MaterialsBySlug) {
  const { sheet } = resolveLines(formula, library);
  const corners: Record<CornerCharge, Corner> = {
    anionic: { movable: 0, fixed: 0 },
    amphoteric: { movable: 0, fixed: 0 },
    nonionic: { movable: 0, fixed: 0 },
  };
  const charges = new Map<string, CornerCharge>();
  const percents = new Map<string, number>();
  const own = new Set(formula.lines.filter(({ qs }) => qs !== true).map(({ id }) => id));
  for (const resolved of sheet.lines) {
    percents.set(resolved.line.id, resolved.percent);
    const { byCharge } = activeMatterOfLine(resolved, sheet.materials);
    const present = (["anionic", "amphoteric", "nonionic", "cationic"] as const).filter((charge: Charge) => byCharge[charge] > 0);
    const only = present.length === 1 && present[0] !== "cationic" && own.has(resolved.line.id) ? present[0] : undefined;
    if (only !== undefined) {
      corners[only].movable += byCharge[only];
      charges.set(resolved.line.id, only);
      continue;
    }
    for (const charge of cornerCharges) corners[charge].fixed += byCharge[charge];
  }
  return { corners, charges, percentOf: (line: string): number => percents.get(line) ?? 0 };
}

/** The nearest shares the types present can give: a type without a line of its own stays, the others share the rest. */
function withinTypes(
  wished: CornerShares,
  corners: Readonly<Record<CornerCharge, Corner>>,
  total: number,
): { readonly shares: CornerShares; readonly missing: boolean } {
  const free = cornerCharges.filter((charge) => corners[charge].movable > 0);
  const least = (charge: CornerCharge): number => (100 * corners[charge].fixed) / total;
  const shares = { anionic: least("anionic"), amphoteric: least("amphoteric"), nonionic: least("nonionic") };
  const left = 100 - shares.anionic - shares.amphoteric - shares.nonionic;
  const wants = free.map((charge) => Math.max(0, wished[charge] - least(charge)));
  const sum = wants.reduce((total_, want) => total_ + want, 0);
  free.forEach((charge, at) => {
    shares[charge] += sum > 0 ? (left * wants[at]!) / sum : left / free.length;
  });
  const missing = cornerCharges.some((charge) => Math.abs(shares[charge] - wished[charge]) > 0.05);
  return { shares, missing };
}
