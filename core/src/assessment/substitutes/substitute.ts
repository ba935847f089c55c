import { activeContentOf, activeMatterOfLine } from "../../surfactants/activeMatter.ts";
import type { Material, MaterialsBySlug } from "../../library/material.ts";
import { assess, type Assessment } from "../assess.ts";
import { changesBetween, readingValues, type Changed, type ChangedReading } from "../versions/changedReadings.ts";
import { Refusal } from "../../quantities/refusal.ts";
import { resolveLines, withOwnMaterials } from "../../formula/resolveLines.ts";
import type { Formula, FormulaLine, ResolvedSheet } from "../../formula/types.ts";

export interface Substitution {
  readonly lineId: string;
  /** Slug of the material that comes in. */
  readonly material: string;
  /** Active content by its certificate, %. */
  readonly assayPercent?: number;
  /** Price of each material by slug, per kg, where known. */
  readonly pricePerKg?: ReadonlyMap<string, number>;
}

export interface Substituted {
  readonly formula: Formula;
  /** Of the line, % w/w. */
  readonly percent: number;
  /** Everything that is not as before. */
  readonly changes: readonly Changed[];
  /** Codes of findings that come and go. */
  readonly findingsNew: readonly string[];
  readonly findingsGone: readonly string[];
}

/**
 * One material for another at equal active matter: percent × active ⁄ active of the new one; the q.s. line takes the
 * difference. 20 % of a 30 % betaine is 15 % of a 40 % one.
 * @throws Refusal when the line is not there, is q.s., one of the two brings no active matter, or the line would
 * exceed 100 %.
 */
export function substitute(formula: Formula, wanted: Substitution, library: MaterialsBySlug): Substituted {
  const materials = withOwnMaterials(library, formula.materials);
  const before = resolveLines(formula, library).sheet;
  const old = before.lines.find(({ line }) => line.id === wanted.lineId);
  const next = materials.get(wanted.material);
  if (old === undefined || next === undefined || old.line.qs === true) {
    throw new Refusal(
      "not-found",
      "There is no such line or material to exchange.",
      "Choose a line with a percent and a material of the library.",
    );
  }
  const percent = equalActivePercent(activeMatterOfLine(old, materials).percent, old.material, next, wanted, materials);
  const exchanged = formula.lines.map((line) => (line.id === wanted.lineId ? exchangedLine(line, percent, wanted) : line));
  const changed: Formula = { ...formula, lines: exchanged };
  const after = resolveLines(changed, library).sheet;
  return { formula: changed, percent, ...compare({ before, after, formula, changed, wanted, library }) };
}

function exchangedLine(line: FormulaLine, percent: number, { material, assayPercent }: Substitution): FormulaLine {
  const beside = line.asWritten === undefined ? {} : { asWritten: line.asWritten };
  return { id: line.id, phase: line.phase, material, percent, ...(assayPercent === undefined ? {} : { assayPercent }), ...beside };
}

function equalActivePercent(
  activePercent: number,
  old: Material,
  next: Material,
  { assayPercent }: Substitution,
  materials: MaterialsBySlug,
): number {
  const content = activeContentOf(next, materials).percent;
  const strength = content > 0 && assayPercent !== undefined ? assayPercent : content;
  if (activePercent <= 0 || strength <= 0) {
    const without = activePercent <= 0 ? old : next;
    throw new Refusal(
      "not-possible",
      `${without.name} brings no active matter to compare by.`,
      "Exchange it by hand at the percent you choose.",
    );
  }
  const percent = (100 * activePercent) / strength;
  if (percent > 100) {
    throw new Refusal("not-possible", `It would take ${percent.toFixed(1)} % of ${next.name}.`, "Choose a stronger material.");
  }
  return percent;
}

interface Compared {
  readonly before: ResolvedSheet;
  readonly after: ResolvedSheet;
  readonly formula: Formula;
  readonly changed: Formula;
  readonly wanted: Substitution;
  readonly library: MaterialsBySlug;
}

function compare({ before, after, formula, changed, wanted, library }: Compared) {
  const [left, right] = [assess(formula, library), assess(changed, library)];
  const valuesOf = (sheet: ResolvedSheet, assessment: Assessment): ReadonlyMap<ChangedReading, number | null> => {
    const own = sheet.lines.find(({ line }) => line.id === wanted.lineId)?.percent ?? null;
    return new Map([["linePercent", own], ...readingValues(sheet, assessment, wanted.pricePerKg)]);
  };
  const codesOf = ({ findings }: Assessment): readonly string[] => [...new Set<string>(findings.map(({ code }) => code))];
  return {
    changes: changesBetween(valuesOf(before, left), valuesOf(after, right)),
    findingsNew: codesOf(right).filter((code) => !codesOf(left).includes(code)),
    findingsGone: codesOf(left).filter((code) => !codesOf(right).includes(code)),
  };
}
