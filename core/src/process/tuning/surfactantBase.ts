import { sha256 } from "@noble/hashes/sha2.js";
import { bytesToHex, utf8ToBytes } from "@noble/hashes/utils.js";
import { cleansersOf } from "../../surfactants/cleansers.ts";
import { assessSums } from "../../assessment/assess.ts";
import { resolveLines } from "../../formula/resolveLines.ts";
import type { BatchPlan } from "../batch/batchPlan.ts";

/** The surfactant part of a formula: what decides how it answers to salt. */
export interface SurfactantBase {
  /** The same for every formula with the same surfactants in the same strength, whatever else is in it. */
  readonly hash: string;
  readonly cleansers: readonly { readonly name: string; readonly percent: number }[];
  /** Salt the materials bring along, % w/w. */
  readonly hiddenSaltPercent: number;
}

/** Strengths that differ by less are the same base, % w/w of active matter. */
const SAME_PERCENT = 0.1;

/**
 * The surfactant part of a formula with a hash to find it by: slugs and active matter of its cleansers, to a tenth of a
 * percent, in the order of their names. Water, scent, preservative and acid do not count. Null without any surfactant.
 */
export function surfactantBaseOf({ formula, materials }: Pick<BatchPlan, "formula" | "materials">): SurfactantBase | null {
  const { sheet } = resolveLines(formula, materials);
  const cleansers = cleansersOf(sheet).filter(({ percent }) => percent >= SAME_PERCENT / 2);
  if (cleansers.length === 0) return null;
  const told = cleansers.map(({ slug, percent }) => `${slug} ${Math.round(percent / SAME_PERCENT)}`).sort();
  const sums = assessSums(formula, materials);
  return {
    hash: bytesToHex(sha256(utf8ToBytes(told.join("\n")))),
    cleansers: cleansers.map(({ name, percent }) => ({ name, percent })).sort((a, b) => b.percent - a.percent),
    hiddenSaltPercent: Math.max(0, sums.saltPercent - sums.addedSaltPercent),
  };
}
