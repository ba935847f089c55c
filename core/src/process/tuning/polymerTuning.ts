import { polymerStepGrams } from "../../rheology/polymerStep.ts";
import type { BatchState } from "../batch/batchState.ts";
import type { BatchPlan } from "../batch/batchPlan.ts";

/** A late thickener on its way in. */
export interface PolymerTuning {
  readonly line: string;
  readonly plannedGrams: number;
  readonly addedGrams: number;
  /** A quarter of a percent of the batch or a fifth of what was planned, at most what is left of it; 0 once all of it is in. */
  readonly nextGrams: number;
  /** What is left of what was planned, g. */
  readonly leftGrams: number;
  /** When the last part went in, ISO; null for not yet. */
  readonly lastAt: string | null;
}

/** What is left below this is no step of its own, as a part of one. */
const HARDLY_A_STEP = 0.02;

/** Nobody waits through more portions than these. */
const MOST_PORTIONS = 5;

/** The late thickeners of a step, each by small steps. */
export function polymerTunings(plan: BatchPlan, { standing }: Pick<BatchState, "standing">, stepId: string): readonly PolymerTuning[] {
  const lines = plan.steps.find(({ id }) => id === stepId)?.lines ?? [];
  const stepGrams = polymerStepGrams(plan.formula.batchGrams);
  return lines.map((line) => {
    const parts = standing.flatMap((entry) => (entry.kind === "thickened" && entry.line === line ? [entry] : []));
    const plannedGrams = plan.targets.get(line) ?? 0;
    const addedGrams = parts.reduce((sum, { grams }) => sum + grams, 0);
    const portion = Math.max(stepGrams, plannedGrams / MOST_PORTIONS);
    const leftGrams = Math.max(0, plannedGrams - addedGrams);
    const nextGrams = leftGrams <= HARDLY_A_STEP * stepGrams ? 0 : Math.min(portion, leftGrams);
    return { line, plannedGrams, addedGrams, leftGrams, nextGrams, lastAt: parts.at(-1)?.at ?? null };
  });
}
