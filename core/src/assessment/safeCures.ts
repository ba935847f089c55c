import type { Finding } from "../findings/finding.ts";
import { judge } from "../findings/registry.ts";
import { applyChange, type FormulaChange } from "../formula/changes/formulaChange.ts";
import type { MaterialsBySlug } from "../library/material.ts";
import { readingOf, type FormulaReading } from "./readings.ts";

/**
 * Findings with the cures that cure: one that would bring up a stop or something to fix that is not there now is not offered
 * as a change; its sentence stays.
 */
export function withSafeCures<Found extends Finding>({ read }: FormulaReading, findings: readonly Found[]): readonly Found[] {
  const urgent = new Set(findings.filter(isUrgent).map(({ code }) => code));
  return findings.map((finding) => {
    const { change, ...told } = finding;
    if (change === undefined || !canBeTried(change, read.sheet.materials)) return finding;
    const cured = readingOf(applyChange(read.sheet.formula, change), read.sheet.materials);
    const isSafe = judge(cured.read).findings.every((after) => !isUrgent(after) || urgent.has(after.code));
    return isSafe ? finding : (told as Found);
  });
}

/** What the page does not know yet cannot be tried. */
function canBeTried(change: FormulaChange, materials: MaterialsBySlug): boolean {
  return change.kind !== "add" || materials.has(change.material);
}

const isUrgent = ({ severity }: Finding): boolean => severity !== "consider";
