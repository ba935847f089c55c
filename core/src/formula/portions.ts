import type { MaterialsBySlug } from "../library/material.ts";
import { resolveLines } from "./resolveLines.ts";
import type { Formula, FormulaLine, LinePortion } from "./types.ts";

/**
 * A formula whose lines are parted as its process says, to be weighed in more than one step: 40 % of 70 % water are a line of
 * 28 %, and 42 % stay; what fills up to 100 % still does, by so much less. Portions that stand as lines already are left.
 * @throws Refusal when a line names a material nobody knows.
 */
export function withPortions(formula: Formula, library: MaterialsBySlug): Formula {
  const portions = (formula.process?.portions ?? []).filter(({ id }) => !formula.lines.some((line) => line.id === id));
  if (portions.length === 0) return formula;
  const { sheet } = resolveLines(formula, library);
  const shareOf = new Map(sheet.lines.map(({ line, percent }) => [line.id, percent]));
  return { ...formula, lines: formula.lines.flatMap((line) => parted(line, shareOf.get(line.id) ?? 0, portionsOf(portions, line.id))) };
}

function portionsOf(portions: readonly LinePortion[], line: string): readonly LinePortion[] {
  return portions.filter(({ of }) => of === line);
}

function parted(line: FormulaLine, percent: number, portions: readonly LinePortion[]): readonly FormulaLine[] {
  if (portions.length === 0) return [line];
  const { qs, percent: _share, ...rest } = line;
  const taken = portions.map(({ id, percentOfLine }): FormulaLine => ({ ...rest, id, percent: (percent * percentOfLine) / 100 }));
  const left = percent - taken.reduce((sum, one) => sum + (one.percent ?? 0), 0);
  return [qs === true ? line : { ...rest, percent: left }, ...taken];
}

/** The lines in one piece again, each with what its portions weighed, as shares. */
export function joinedPortions({ lines, process }: Pick<Formula, "lines" | "process">): readonly FormulaLine[] {
  const of = new Map((process?.portions ?? []).map((portion) => [portion.id, portion.of]));
  const shareOf = (id: string): number =>
    lines.reduce((sum, line) => (line.id === id || of.get(line.id) === id ? sum + (line.percent ?? 0) : sum), 0);
  return lines.filter(({ id }) => !of.has(id)).map((line) => (line.qs === true ? line : { ...line, percent: shareOf(line.id) }));
}
