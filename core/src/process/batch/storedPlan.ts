import type { Formula } from "../../formula/types.ts";
import type { Material, MaterialsBySlug } from "../../library/material.ts";
import type { Step } from "../step.ts";
import type { BatchPlan, ShelfSolution } from "./batchPlan.ts";
import { planBatch } from "./planBatch.ts";

/** What stands on the shelf to adjust the pH with, and the facts of all that can come in beside the lines of a formula. */
export interface ShelfForBatch {
  readonly lots: readonly ShelfSolution[];
  readonly materials: readonly Material[];
}

export const emptyShelf: ShelfForBatch = { lots: [], materials: [] };

/** The plan of a batch that was begun: its formula brings its materials, its steps are as they were then. */
export function storedPlan(
  { formula, steps }: { readonly formula: Formula; readonly steps: readonly Step[] },
  shelf: ShelfForBatch = emptyShelf,
): BatchPlan {
  const plan = planBatch(formula, formula.batchGrams, materialsOf(formula));
  // What the formula brings of a material stands as it was when the batch was begun.
  const materials = new Map([...shelf.materials.map((material) => [material.slug, material] as const), ...plan.materials]);
  return { ...plan, materials, steps, shelf: shelf.lots };
}

/** The materials a formula carries with it. */
export function materialsOf({ materials = [] }: Pick<Formula, "materials">): MaterialsBySlug {
  return new Map(materials.map((material) => [material.slug, material]));
}
