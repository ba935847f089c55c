import { assessSums } from "../../assessment/readings.ts";
import { resolveLines } from "../../formula/resolveLines.ts";
import { baseHashOf, cleansersOfBase } from "../../surfactants/baseHash.ts";
import { cleansersOf } from "../../surfactants/cleansers.ts";
import type { BatchPlan } from "../batch/batchPlan.ts";

/** The surfactant part of a formula: what decides how it answers to salt. */
export interface SurfactantBase {
  /** The same for every formula with the same surfactants in the same strength, whatever else is in it. */
  readonly hash: string;
  readonly cleansers: readonly { readonly name: string; readonly percent: number }[];
  /** Salt the materials bring along, % w/w. */
  readonly hiddenSaltPercent: number;
}

/** The surfactant part of a formula with a hash to find it by. Null without any surfactant. */
export function surfactantBaseOf({ formula, materials }: Pick<BatchPlan, "formula" | "materials">): SurfactantBase | null {
  const cleansers = cleansersOf(resolveLines(formula, materials).sheet);
  const hash = baseHashOf(cleansers);
  if (hash === null) return null;
  const sums = assessSums(formula, materials);
  return {
    hash,
    cleansers: cleansersOfBase(cleansers)
      .map(({ name, percent }) => ({ name, percent }))
      .sort((a, b) => b.percent - a.percent),
    hiddenSaltPercent: Math.max(0, sums.saltPercent - sums.addedSaltPercent),
  };
}
