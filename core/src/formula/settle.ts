import type { Material, MaterialsBySlug } from "../library/material.ts";
import { massBalance, type MassBalance } from "./massBalance.ts";
import { Refusal } from "./refusal.ts";
import type { Formula, SettledLine, SettledSheet } from "./types.ts";

/** The library with the materials a formula brings along laid over it. */
export function withOwnMaterials(library: MaterialsBySlug, own: readonly Material[] | undefined): MaterialsBySlug {
  if (own === undefined || own.length === 0) return library;
  const merged = new Map(library);
  for (const material of own) merged.set(material.slug, material);
  return merged;
}

/**
 * Finds every line's material and settles its percent, so that rules and readings need not ask again.
 * @throws Refusal when a line names a material nobody knows.
 */
export function settle(formula: Formula, library: MaterialsBySlug): { sheet: SettledSheet; balance: MassBalance } {
  const materials = withOwnMaterials(library, formula.materials);
  const balance = massBalance(formula.lines);
  const lines = formula.lines.map((line): SettledLine => {
    const material = materials.get(line.material);
    if (material === undefined) {
      throw new Refusal(
        "not-found",
        `Line ${line.id} asks for "${line.material}", which is not in the library.`,
        "Pick a material from the library or bring it along in the file.",
      );
    }
    return { line, material, percent: line.qs === true ? balance.qsPercent : (line.percent ?? 0) };
  });
  return { sheet: { formula, materials, lines }, balance };
}
