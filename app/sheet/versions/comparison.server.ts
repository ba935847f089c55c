import { differenceOf } from "@tensidrum/core/assessment";
import { wholeLines } from "@tensidrum/core/formula";
import { nameOfSlug } from "@tensidrum/core/library";
import type { VersionFormula } from "./versionFormula.server";

type Compared = Pick<VersionFormula, "formula" | "materials">;

/** What differs between two formulas, with the names its tables show. */
export function comparisonOf(before: Compared, after: Compared, saltPeaks: Readonly<Record<string, number>>) {
  const libraries = { before: before.materials, after: after.materials };
  const difference = differenceOf(before.formula, after.formula, libraries, { saltPeaks });
  return {
    head: difference.head,
    lineCount: new Set([...wholeLines(before.formula), ...wholeLines(after.formula)].map(({ id }) => id)).size,
    lines: difference.lines.map(({ id, before: a, after: b }) => ({
      id,
      name: b === null ? nameOfSlug(a?.material ?? "", before.materials) : nameOfSlug(b.material, after.materials),
      wasName: a !== null && b !== null && a.material !== b.material ? nameOfSlug(a.material, before.materials) : null,
      before: a,
      after: b,
    })),
    readings: difference.readings,
    findingsNew: difference.findingsNew.map(({ what, severity }) => ({ what, severity })),
    findingsGone: difference.findingsGone.map(({ what, severity }) => ({ what, severity })),
  };
}

export type Comparison = ReturnType<typeof comparisonOf>;
