import { assessSums } from "../../assessment/readings.ts";
import { withPortions } from "../../formula/portions.ts";
import type { Formula } from "../../formula/types.ts";
import type { MaterialsBySlug } from "../../library/material.ts";
import { stepsOf } from "../stepsOf.ts";
import type { BatchPlan } from "./batchPlan.ts";

/**
 * A formula as a batch of a size: its steps, and what each line is to weigh on the maker's scales.
 * @throws Refusal when a material is unknown.
 */
export function planBatch(formula: Formula, batchGrams: number, library: MaterialsBySlug): BatchPlan {
  const sized = withPortions({ ...formula, batchGrams }, library);
  const { lines } = assessSums(sized, library);
  return {
    formula: sized,
    materials: library,
    steps: stepsOf(sized, library).steps,
    targets: new Map(lines.map(({ id, gramsToWeigh }) => [id, gramsToWeigh])),
  };
}
