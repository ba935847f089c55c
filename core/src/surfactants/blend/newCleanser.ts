import { activeContentOf, activeMatterOfLine } from "../activeMatter.ts";
import type { Material, MaterialsBySlug } from "../../library/material.ts";
import { resolveLines } from "../../formula/resolveLines.ts";
import type { Formula } from "../../formula/types.ts";
import type { FormulaChange } from "../../formula/changes/formulaChange.ts";

/** Share of the active matter a new cleanser begins with, %. */
const FIRST_SHARE_PERCENT = 10;

/**
 * A line that brings in a cleanser at a tenth of the active matter, beside the last cleanser there is: a = A × s ⁄ (1 − s).
 * Beside 9 % active matter that is 1 % of it, 3.33 % of a 30 % solution. It never takes more than the line of the rest
 * has. Null where nothing cleanses yet, where the material does not, or where there is no rest left.
 * @throws Refusal when a line's material is unknown.
 */
export function newCleanser(formula: Formula, material: Material, library: MaterialsBySlug): (FormulaChange & { kind: "add" }) | null {
  const { sheet, balance } = resolveLines(formula, library);
  const cleansers = sheet.lines
    .map((resolved) => ({ id: resolved.line.id, active: activeMatterOfLine(resolved, sheet.materials).percent }))
    .filter(({ active }) => active > 0);
  const beside = cleansers.at(-1)?.id;
  const strength = activeContentOf(material, library).percent;
  if (beside === undefined || strength <= 0) return null;
  const now = cleansers.reduce((sum, { active }) => sum + active, 0);
  const wanted = (now * FIRST_SHARE_PERCENT) / (100 - FIRST_SHARE_PERCENT);
  const percent = Math.min((100 * wanted) / strength, balance.hasQs ? balance.qsPercent : balance.openPercent);
  return percent > 0 ? { kind: "add", material: material.slug, percent, beside } : null;
}
