import type { Material, MaterialsBySlug } from "../library/material.ts";
import { namedAsWritten } from "../library/notChosen.ts";
import { massBalance, type MassBalance } from "./massBalance.ts";
import { Refusal } from "../quantities/refusal.ts";
import type { Formula, FormulaLine, ResolvedLine, ResolvedSheet } from "./types.ts";

/** The library with the materials a formula brings along laid over it. */
export function withOwnMaterials(library: MaterialsBySlug, own: readonly Material[] | undefined): MaterialsBySlug {
  if (own === undefined || own.length === 0) return library;
  const merged = new Map(library);
  for (const material of own) merged.set(material.slug, material);
  return merged;
}

/**
 * Every line with its share of the whole batch. A line of a named part counts with its share of that part, so that
 * 0.3 % scent in a half of the batch are 0.15 % of it.
 */
export function wholeLines(formula: Pick<Formula, "lines" | "splits">): readonly FormulaLine[] {
  if (formula.splits === undefined || formula.splits.length === 0) return formula.lines;
  const own = formula.splits.flatMap((split) =>
    split.lines.map((line): FormulaLine => ({ ...line, percent: (line.percent * split.sharePercent) / 100 })),
  );
  return [...formula.lines, ...own];
}

/**
 * Finds every line's material and settles its percent, so that rules and readings need not ask again.
 * @throws Refusal when a line names a material nobody knows.
 */
export function resolveLines(formula: Formula, library: MaterialsBySlug): { sheet: ResolvedSheet; balance: MassBalance } {
  const materials = withOwnMaterials(library, formula.materials);
  const written = wholeLines(formula);
  const balance = massBalance(written);
  const lines = written.map((line): ResolvedLine => {
    const material = materials.get(line.material);
    if (material === undefined) {
      throw new Refusal(
        "not-found",
        `Line ${line.id} asks for "${line.material}", which is not in the library.`,
        "Choose a material of the library or add it to the file.",
      );
    }
    return {
      line,
      material: namedAsWritten(material, line.asWritten),
      percent: line.qs === true ? balance.qsPercent : (line.percent ?? 0),
    };
  });
  return { sheet: { formula, materials, lines }, balance };
}
