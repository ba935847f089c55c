import { readingOf } from "../../assessment/readings.ts";
import { shownMaterial } from "../../library/shownMaterial.ts";
import { formulaAsMade } from "../deviations.ts";
import type { Formula } from "../../formula/types.ts";
import type { MaterialsBySlug, Span } from "../../library/material.ts";
import { besidesOf, gramsBeside, materialBeside } from "./besides.ts";
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

/** The formula of a batch with all that went into the beaker: its lines as weighed, and what came in beside them. */
export function batchAsMade(plan: BatchPlan, state: Pick<BatchState, "lines" | "steps" | "standing">): Formula {
  return formulaAsMade(plan.formula, gramsNow(state), plan.materials, gramsBeside(besidesOf(plan, state.standing)));
}

/** The materials of a batch as made, those that came in beside its lines among them. */
export function materialsAsMade(plan: BatchPlan, { lines }: Formula): MaterialsBySlug {
  const missing = lines.flatMap(({ material }) =>
    plan.materials.has(material) ? [] : [[material, materialBeside(material, plan)] as const],
  );
  return missing.length === 0 ? plan.materials : new Map([...plan.materials, ...missing]);
}

/**
 * The sums read again from what really went in, lines of open steps as they are to be: the batch, active matter,
 * salt, and every preservative against its dose. None where nothing was weighed and nothing will be.
 */
export function sumsAsMade(plan: BatchPlan, state: Pick<BatchState, "lines" | "steps" | "standing">): readonly SumAsMade[] {
  const actual = gramsNow(state);
  if ([...actual.values()].every((grams) => grams <= 0)) return [];
  const planned = readingOf(plan.formula, plan.materials).readings;
  const formula = batchAsMade(plan, state);
  const made = readingOf(formula, materialsAsMade(plan, formula)).readings;
  const madeGrams = formula.batchGrams;
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
    const isOutside = low !== null && high !== null && isBeyond(percent, { low, high });
    const wasOutside = before !== undefined && low !== null && high !== null && isBeyond(before.percent, { low, high });
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

/** A dose that leaves its range by no more than a scale rounds, as a part of the limit, is inside: 0.503 of 0.50 %. */
const ROUNDED = 0.01;

function isBeyond(percent: number, { low, high }: Span): boolean {
  return percent < low * (1 - ROUNDED) || percent > high * (1 + ROUNDED);
}
