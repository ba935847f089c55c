import { FEWEST_STEPS } from "../../quantities/tooSmall.ts";
import type { BenchAgent } from "./agents.ts";
import { gramsAs } from "./sampleAside.ts";

/** Fewer drops than these miss by a third. */
const FEWEST_DROPS = 3;
/** A dose larger than this part of the batch thins it too much. */
const MOST_OF_BATCH = 0.02;

interface Dose {
  readonly agent: BenchAgent;
  readonly grams: number;
}

export interface WeighableAgent extends Dose {
  /** Steps of the scale the dose of the first solution is. */
  readonly steps: number;
}

/** Whether a dose can be told from nothing: 20 steps of the scale, or three whole drops. */
export function isWeighable({ agent, grams }: Dose, scaleStepGrams: number): boolean {
  if (agent.dropGrams !== null && grams >= FEWEST_DROPS * agent.dropGrams * (1 - 1e-9)) return true;
  return grams >= FEWEST_STEPS * scaleStepGrams * (1 - 1e-9);
}

/**
 * The solution to dose instead of one whose dose is too small to weigh: the strongest of its kind with at least 20 steps of
 * the scale or three drops, by the equivalents both bring at the wanted pH; of the same acid or base where there is one.
 * Null where the dose can be weighed, or nothing at hand is weak enough.
 */
export function weighableAgent(
  dose: Dose,
  agents: readonly BenchAgent[],
  { scaleStepGrams, ph, batchGrams }: { readonly scaleStepGrams: number; readonly ph: number; readonly batchGrams: number },
): WeighableAgent | null {
  if (!(dose.grams > 0) || isWeighable(dose, scaleStepGrams)) return null;
  const others = agents
    .filter((one) => one.kind === dose.agent.kind && one.name !== dose.agent.name)
    .map((agent) => ({ agent, grams: gramsAs(agent, dose, ph) }))
    .filter((one) => isWeighable(one, scaleStepGrams) && one.grams <= batchGrams * MOST_OF_BATCH);
  const same = others.filter(({ agent }) => agent.molarMass === dose.agent.molarMass);
  const found = (same.length > 0 ? same : others).toSorted((a, b) => a.grams - b.grams)[0];
  return found === undefined ? null : { ...found, steps: dose.grams / scaleStepGrams };
}
