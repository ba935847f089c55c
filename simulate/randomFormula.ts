import type { Formula, FormulaLine } from "@tensidrum/core/formula";
import type { Material, Role } from "@tensidrum/core/library";
import { referenceLibrary } from "@tensidrum/core/reference";
import type { Draws } from "./world/draws";

/** What a wash is made of: role, how many of them, and percent. */
const SHAPE: readonly { readonly role: Role; readonly count: readonly [number, number]; readonly percent: readonly [number, number] }[] = [
  { role: "surfactant", count: [2, 3], percent: [3, 20] },
  { role: "humectant", count: [0, 1], percent: [1, 5] },
  { role: "preservative", count: [1, 1], percent: [0.4, 1] },
  { role: "chelator", count: [0, 1], percent: [0.05, 0.2] },
  { role: "botanical", count: [0, 1], percent: [0.5, 3] },
  { role: "protein", count: [0, 1], percent: [0.5, 2] },
  { role: "active", count: [0, 1], percent: [0.2, 1] },
];

/** Soap is not acidified; alone it would make another kind of batch. */
const candidates = (role: Role): readonly Material[] =>
  referenceLibrary.filter((material) => material.role === role && !material.flags.includes("soap") && material.parts === undefined);

/** A water-based wash out of the library, as a maker might put it together. */
export function randomFormula(draws: Draws): Formula {
  const lines: FormulaLine[] = [{ id: "water", phase: "A", material: "water-distilled", qs: true }];
  for (const { role, count, percent } of SHAPE) {
    const many = draws.integer(...count);
    for (let k = 0; k < many; k += 1) {
      const material = draws.pick(candidates(role)).slug;
      lines.push({ id: `${role}-${k}`, phase: "A", material, percent: draws.uniform(...percent) });
    }
  }
  return {
    format: "tensidrum-formula/1",
    name: "Drawn wash",
    profile: "body-wash",
    batchGrams: 500,
    scales: [],
    phases: [{ id: "A" }],
    lines,
  };
}
