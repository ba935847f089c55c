import { readingOf } from "../../assessment/readings.ts";
import { shownMaterial } from "../../library/shownMaterial.ts";
import { formulaAsMade } from "../deviations.ts";
import type { BatchState } from "./batchState.ts";
import type { BatchPlan } from "./batchPlan.ts";
import { gramsNow } from "./contents.ts";

/** One sum of the batch as it was planned and as it was weighed. */
export interface SumAsMade {
  readonly id: string;
  readonly what: string;
  readonly unit: "g" | "%";
  readonly planned: number;
  readonly made: number;
  /** Outside the dose it works or is allowed at. */
  readonly outside: { readonly low: number; readonly high: number } | null;
}

/**
 * The sums read again from what was really weighed, lines of open steps as they are to be: the batch, active matter,
 * salt, and every preservative against its dose. None where nothing was weighed and nothing will be.
 */
export function sumsAsMade(plan: BatchPlan, state: Pick<BatchState, "lines" | "steps">): readonly SumAsMade[] {
  const actual = gramsNow(state);
  if ([...actual.values()].every((grams) => grams <= 0)) return [];
  const planned = readingOf(plan.formula, plan.materials).readings;
  const made = readingOf(formulaAsMade(plan.formula, actual, plan.materials), plan.materials).readings;
  const madeGrams = [...actual.values()].reduce((sum, grams) => sum + grams, 0);
  const sums: SumAsMade[] = [
    { id: "batch", what: "batch", unit: "g", planned: plan.formula.batchGrams, made: madeGrams, outside: null },
    {
      id: "active",
      what: "active matter",
      unit: "%",
      planned: planned.activeMatter.percent,
      made: made.activeMatter.percent,
      outside: null,
    },
    { id: "salt", what: "salt, from materials and added", unit: "%", planned: planned.saltPercent, made: made.saltPercent, outside: null },
  ];
  for (const { material, percent, low, high } of made.preservatives) {
    const known = plan.materials.get(material);
    const before = planned.preservatives.find((one) => one.material === material);
    const isOutside = low !== null && high !== null && (percent < low || percent > high);
    const wasOutside = before !== undefined && low !== null && high !== null && (before.percent < low || before.percent > high);
    sums.push({
      id: material,
      what: known === undefined ? material : shownMaterial(known).name,
      unit: "%",
      planned: before?.percent ?? 0,
      made: percent,
      outside: isOutside && !wasOutside ? { low, high } : null,
    });
  }
  return sums;
}
