import { resolveLines } from "../formula/resolveLines.ts";
import type { Formula, FormulaLine } from "../formula/types.ts";
import type { MaterialsBySlug } from "../library/material.ts";
import { Refusal } from "../quantities/refusal.ts";

/**
 * The formula of one named part by itself: its own lines at their share of it, the base making up the rest in its own
 * proportions. A part with 0.3 % scent is 99.7 % base. What the parts leave is the base alone.
 * @param name null for the base
 * @throws Refusal when there is no such part or material.
 */
export function formulaOfPart(formula: Formula, name: string | null, library: MaterialsBySlug): Formula {
  const splits = formula.splits ?? [];
  const part =
    name === null
      ? { sharePercent: splits.reduce((left, { sharePercent }) => left - sharePercent, 100), lines: [] }
      : splits.find((split) => split.name === name);
  if (part === undefined) throw new Refusal("not-found", `There is no part "${name}".`, "Choose a part of this formula.");
  const { sheet } = resolveLines(formula, library);
  const base = new Set(formula.lines.map(({ id }) => id));
  const baseLines = sheet.lines.filter(({ line }) => base.has(line.id));
  const whole = baseLines.reduce((sum, { percent }) => sum + percent, 0);
  const own = part.lines.reduce((sum, { percent }) => sum + percent, 0);
  const factor = whole > 0 ? (100 - own) / whole : 0;
  const { splits: _splits, process: _process, ...rest } = formula;
  const lines: FormulaLine[] = baseLines.map(({ line: { id, phase, material, assayPercent, asWritten }, percent }) => ({
    id,
    phase,
    material,
    percent: percent * factor,
    ...(assayPercent === undefined ? {} : { assayPercent }),
    ...(asWritten === undefined ? {} : { asWritten }),
  }));
  return {
    ...rest,
    name: name === null ? formula.name : `${formula.name}, ${name}`,
    batchGrams: (formula.batchGrams * part.sharePercent) / 100,
    lines: [...lines, ...part.lines],
  };
}
