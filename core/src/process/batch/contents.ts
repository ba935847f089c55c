import { evaporationTopUpGrams } from "../evaporation.ts";
import type { Step } from "../step.ts";
import type { BatchState } from "./batchState.ts";
import type { BatchPlan } from "./batchPlan.ts";
import { drawnTargetGrams, partsOf } from "./parts.ts";
import { vesselContents } from "./vesselContents.ts";

type Known = Pick<BatchState, "lines" | "steps" | "measured" | "tares">;

/** What each line weighs, or is to weigh as long as its step is open; what was held back in one that is through is nothing, g. */
export function gramsNow({ lines, steps }: Pick<BatchState, "lines" | "steps">): ReadonlyMap<string, number> {
  const through = new Set(steps.flatMap(({ step, state }) => (state === "open" ? [] : step.lines)));
  return new Map(
    [...lines.values()].map(({ line, actualGrams, targetGrams }) => [line, actualGrams ?? (through.has(line) ? 0 : targetGrams)]),
  );
}

/** What the part a step draws is to weigh, g; null for a step that draws none. */
export function partTargetGrams(plan: BatchPlan, state: Pick<Known, "lines" | "steps">, step: string): number | null {
  const part = partsOf(plan).find((one) => one.step === step);
  return part === undefined ? null : drawnTargetGrams(plan, part, gramsNow(state));
}

/** What is in the beaker of each step once it is through, g: as weighed, and where nothing is weighed yet as planned. */
export function contentsOf(plan: BatchPlan, state: Known): ReadonlyMap<string, number> {
  const grams = gramsNow(state);
  const drawnOf = ({ id }: Step): number => state.measured.get(id) ?? partTargetGrams(plan, state, id) ?? 0;
  return vesselContents(plan.steps, (line) => grams.get(line) ?? 0, drawnOf);
}

/** What beaker, stirrer and content weigh after heating, against what they weighed before and what came in since. */
export interface Evaporation {
  /** What it would weigh had nothing steamed off, g. */
  readonly expectedGrams: number;
  /** Null while it has not been weighed, g. */
  readonly topUpGrams: number | null;
}

/**
 * What to put back at a step that weighs after heating. What it should weigh is the weight before heating with what came
 * into the beaker since; where nobody weighed before, the empty weight with what was weighed in. Null for other steps, and
 * where neither is known.
 */
export function evaporationAt(plan: BatchPlan, state: Known, stepId: string): Evaporation | null {
  const at = plan.steps.findIndex(({ id }) => id === stepId);
  const step = plan.steps[at];
  if (step?.measures !== "after-heating" || step.vessel === null) return null;
  const contents = contentsOf(plan, state);
  const content = contents.get(step.id) ?? 0;
  const before = plan.steps
    .slice(0, at)
    .findLast(({ id, vessel, measures }) => measures === "before-heating" && vessel === step.vessel && state.measured.has(id));
  const tare = state.tares.get(step.vessel);
  const expectedGrams =
    before !== undefined
      ? (state.measured.get(before.id) ?? 0) + content - (contents.get(before.id) ?? 0)
      : tare === undefined
        ? null
        : tare + content;
  if (expectedGrams === null || expectedGrams <= 0) return null;
  const after = state.measured.get(step.id);
  return { expectedGrams, topUpGrams: after === undefined || after <= 0 ? null : evaporationTopUpGrams(expectedGrams, after) };
}
