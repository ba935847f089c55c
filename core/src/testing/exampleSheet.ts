import type { Formula, FormulaLine } from "../formula/types.ts";
import type { Material, MaterialsBySlug } from "../library/material.ts";
import { referenceLibrary } from "../library/referenceLibrary.ts";

/** The reference library by slug, for tests and benchmarks. */
export const library: MaterialsBySlug = new Map(referenceLibrary.map((material) => [material.slug, material]));

/** A reference material; fails loudly when a test misspells it. */
export function materialOf(slug: string): Material {
  const material = library.get(slug);
  if (material === undefined) throw new Error(`No reference material "${slug}"`);
  return material;
}

/** A line written as `[material, percent]`, or `[material, "q.s."]`. Its id is its material. */
export type WrittenLine = readonly [material: string, percent: number | "q.s."];

export function lineOf([material, percent]: WrittenLine): FormulaLine {
  return percent === "q.s." ? { id: material, phase: "A", material, qs: true } : { id: material, phase: "A", material, percent };
}

/** A body wash of 600 g on a 0.1 g and a 0.01 g scale, with the given lines. */
export function sheetOf(written: readonly WrittenLine[], changes: Partial<Formula> = {}): Formula {
  return {
    format: "tensidrum-formula/1",
    name: "Example wash",
    profile: "body-wash",
    batchGrams: 600,
    scales: [
      { name: "bench", readabilityGrams: 0.1, capacityGrams: 3000 },
      { name: "fine", readabilityGrams: 0.01, capacityGrams: 200 },
    ],
    phases: [{ id: "A" }],
    lines: written.map(lineOf),
    ...changes,
  };
}
