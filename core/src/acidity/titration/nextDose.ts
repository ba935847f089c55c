import type { Ensemble } from "../../numerics/ensemble.ts";
import { gramsOf, type Agent } from "../equivalents.ts";
import type { Titration } from "./bookkeeping.ts";
import { doseLimits, expectedPh, passingChance, type Dosing, type ExpectedPh } from "./forecast.ts";
import type { BatchModel } from "./plausibleBatches.ts";
import type { Situation } from "./situation.ts";
import { wholeDrops, type Drops } from "./wholeDrops.ts";

export interface DoseAdvice extends ExpectedPh {
  readonly agent: "agent" | "counterAgent";
  /** The next dose, g of the solution. */
  readonly grams: number;
  /** Null where it is weighed. */
  readonly drops: number | null;
  /** Chance that this dose passes the far edge, 0 to 1. */
  readonly overshootChance: number;
  /** All of this agent to the middle of the window, from the first dose on, g. */
  readonly finalEstimateGrams: number;
}

/** The advice and what its wording needs. */
export interface Dose {
  readonly advice: DoseAdvice;
  /** Null where the solution is weighed. */
  readonly drops: Drops | null;
  /** Whether it stops far short of the middle because so little is known. */
  readonly isProbing: boolean;
  /** pH that one drop more would move the middle of the ensemble; null likewise. */
  readonly phPerDrop: number | null;
}

/** A first dose of less than this part of the way only probes. */
const PROBE_PART = 0.5;

interface Setting {
  readonly situation: Situation;
  readonly seed: number;
  readonly dosing: Dosing;
}

/** The next dose of the agent the situation calls for; 0 g where it calls for none. */
export function nextDose(titration: Titration, model: BatchModel, ensemble: Ensemble, { situation, seed, dosing }: Setting): Dose {
  const { low, high } = titration.target;
  const isCounter = situation.use === "counterAgent" && titration.counterAgent !== null;
  const solution: Agent = isCounter ? titration.counterAgent! : titration.agent;
  const limits = doseLimits(model, ensemble, {
    next: isCounter ? model.dosed.counter! : model.dosed.agent,
    middle: (low + high) / 2,
    farEdge: solution.kind === "acid" ? low : high,
    seed,
    dosing,
  });
  const gramsPerMillimole = gramsOf(solution, model.leftGrams / 1000);
  const wanted = situation.doses ? Math.max(0, Math.min(limits.toMiddle, limits.safe)) : 0;
  const dropGrams = isCounter ? null : titration.dropGrams;
  const drops =
    dropGrams === null ? null : wholeDrops({ wanted: wanted * gramsPerMillimole, safe: limits.safe * gramsPerMillimole, dropGrams });
  const count = drops === null ? null : situation.doses ? drops.count : 0;
  const given = count === null ? wanted : (count * dropGrams!) / gramsPerMillimole;
  const expected = expectedPh(model, ensemble, { dose: given, isCounter, seed });
  const advice: DoseAdvice = {
    agent: isCounter ? "counterAgent" : "agent",
    grams: given * gramsPerMillimole,
    drops: count,
    ...expected,
    overshootChance: passingChance(limits, given),
    finalEstimateGrams: Math.max(0, dosedSoFar(titration, isCounter) + limits.toMiddle * gramsPerMillimole),
  };
  const isFirst = dosedSoFar(titration, false) === 0 && dosedSoFar(titration, true) === 0;
  const isProbing = isFirst && given > 0 && given < limits.toMiddle * PROBE_PART;
  if (dropGrams === null) return { advice, drops, isProbing, phPerDrop: null };
  const more = expectedPh(model, ensemble, { dose: given + dropGrams / gramsPerMillimole, isCounter, seed });
  return { advice, drops, isProbing, phPerDrop: Math.abs(more.expectedPh - expected.expectedPh) };
}

function dosedSoFar({ readings }: Titration, isCounter: boolean): number {
  const last = readings.at(-1)!;
  return isCounter ? (last.counterGramsTotal ?? 0) : last.doseGramsTotal;
}
