import type { Agent } from "../equivalents.ts";
import { gramsOf } from "../equivalents.ts";
import type { Titration } from "./bookkeeping.ts";
import { bufferCurve, type BufferPoint } from "./bufferCurve.ts";
import { doseLimits, expectedPh, passingChance, phNow, shareInside, type DoseLimits, type ExpectedPh } from "./forecast.ts";
import { batchModel, plausibleBatches, type BatchModel } from "./plausibleBatches.ts";
import type { Ensemble } from "../../numerics/ensemble.ts";
import { median } from "../../numerics/quantiles.ts";
import { situationOf, type Situation, type TitrationState } from "./situation.ts";
import { wholeDrops, type Drops } from "./wholeDrops.ts";
import { adviceText } from "./wording.ts";

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

export interface TitrationAdvice {
  readonly state: TitrationState;
  readonly recommend: DoseAdvice;
  readonly bufferCurve: readonly BufferPoint[];
  /** Chance that the batch truly is inside the window now, 0 to 1. */
  readonly insideChance: number;
  readonly text: string;
}

export interface AdviceOptions {
  readonly seed?: number;
  /** Titrations of earlier batches of this version. */
  readonly earlier?: readonly Titration[];
}

const MEMBERS = 2000;
const SEED = 20_25;

/**
 * The next dose of acid or base, from an ensemble of plausible batches: known sites of the formula within their ranges
 * and ± 20 %, up to three unknown ones, a weak background; weighted by every reading. The dose is the smaller of the one
 * to the middle of the window by the middle of the ensemble, and the one whose chance of passing the far edge is 0.1 %.
 * Deterministic for a seed.
 */
export function adviseTitration(titration: Titration, { seed = SEED, earlier = [] }: AdviceOptions = {}): TitrationAdvice {
  const model = batchModel(titration, earlier);
  const ensemble = plausibleBatches(model, { members: MEMBERS, seed });
  const phs = phNow(model, ensemble);
  const { low, high } = titration.target;
  const insideChance = shareInside(phs, low, high);
  const situation = situationOf(titration, model.stations, { ph: median(phs), insideChance });
  const dose = doseOf(titration, model, ensemble, { situation, seed });
  return {
    state: situation.state,
    recommend: dose.advice,
    bufferCurve: bufferCurve(model.stations, titration.agent, titration.counterAgent),
    insideChance,
    text: adviceText(titration, situation, dose),
  };
}

export interface Dose {
  readonly advice: DoseAdvice;
  readonly drops: Drops | null;
  /** pH one drop moves the middle of the ensemble; null where no drops are used. */
  readonly phPerDrop: number | null;
}

function doseOf(
  titration: Titration,
  model: BatchModel,
  ensemble: Ensemble,
  { situation, seed }: { readonly situation: Situation; readonly seed: number },
): Dose {
  const { low, high } = titration.target;
  const isCounter = situation.use === "counterAgent" && titration.counterAgent !== null;
  const solution: Agent = isCounter ? titration.counterAgent! : titration.agent;
  const middle = (low + high) / 2;
  const farEdge = solution.kind === "acid" ? low : high;
  const dosed = isCounter ? model.counter! : model.agent;
  const limits = doseLimits(model, ensemble, { dosed, middle, farEdge, seed });
  const kilograms = model.leftGrams / 1000;
  const grams = (millimolesPerKg: number): number => gramsOf(solution, millimolesPerKg * kilograms);
  const isDosed = situation.doses;
  const wanted = isDosed ? Math.max(0, Math.min(limits.toMiddle, limits.safe)) : 0;
  const dropGrams = isCounter ? null : titration.dropGrams;
  const drops = dropGrams === null ? null : wholeDrops({ wanted: grams(wanted), safe: grams(limits.safe), dropGrams });
  const given = drops === null || !isDosed ? wanted : wanted === 0 ? 0 : (drops.count * dropGrams!) / grams(1);
  const advice: DoseAdvice = {
    agent: isCounter ? "counterAgent" : "agent",
    grams: grams(given),
    drops: drops === null ? null : isDosed ? drops.count : 0,
    ...expectedPh(model, ensemble, { dose: given, isCounter, seed }),
    overshootChance: passingChance(limits, given),
    finalEstimateGrams: finalEstimate(titration, isCounter, grams(limits.toMiddle)),
  };
  return {
    advice,
    drops,
    phPerDrop: dropGrams === null ? null : phPerDrop(model, ensemble, { limits, drop: dropGrams / grams(1), seed, advice }),
  };
}

function finalEstimate({ readings }: Titration, isCounter: boolean, further: number): number {
  const last = readings.at(-1)!;
  return Math.max(0, (isCounter ? (last.counterGramsTotal ?? 0) : last.doseGramsTotal) + further);
}

interface OneDrop {
  readonly limits: DoseLimits;
  /** mmol/kg */
  readonly drop: number;
  readonly seed: number;
  readonly advice: DoseAdvice;
}

/** How far one drop more moves the pH from where the advised dose leaves it. */
function phPerDrop(model: BatchModel, ensemble: Ensemble, { drop, seed }: OneDrop): number {
  const still = expectedPh(model, ensemble, { dose: 0, isCounter: false, seed }).expectedPh;
  return Math.abs(expectedPh(model, ensemble, { dose: drop, isCounter: false, seed }).expectedPh - still);
}
