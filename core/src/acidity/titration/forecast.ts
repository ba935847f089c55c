import type { Ensemble } from "../../numerics/ensemble.ts";
import { cautiousLowQuantile, median, quantileOfSorted } from "../../numerics/quantiles.ts";
import { randomFrom } from "../../numerics/random.ts";
import type { AgentTable } from "./alkalinity.ts";
import { doseTo, phOf } from "./plausibleBatch.ts";
import { DOSE_ERROR, type BatchModel } from "./plausibleBatches.ts";

/** The pH of every plausible batch after the last reading, in the order of the members. */
export function phNow(model: BatchModel, ensemble: Ensemble): Float64Array {
  return Float64Array.from({ length: ensemble.members }, (_, member) =>
    phOf(model.batchNow(ensemble.coordinates, member * ensemble.coordinatesEach), model.dosed),
  );
}

export function shareInside(phs: Float64Array, low: number, high: number): number {
  let inside = 0;
  for (const ph of phs) if (ph >= low && ph <= high) inside += 1;
  return inside / phs.length;
}

/** Middle of how far the last reading lies from what the members expect, in its spreads. */
export function misfitOf(model: BatchModel, { members, coordinates, coordinatesEach }: Ensemble): number {
  return median(Float64Array.from({ length: members }, (_, member) => Math.abs(model.missOfLast(coordinates, member * coordinatesEach))));
}

/** What a further dose may be, mmol/kg. */
export interface DoseLimits {
  /** To the middle of the window by the middle of the members. */
  readonly toMiddle: number;
  /** The largest whose chance of passing the far edge clearly stays within the risk. */
  readonly safe: number;
  /** Dose as meant that would carry each member past the far edge. */
  readonly passing: Float64Array;
}

/** Chance of passing the far edge by more than a tenth that a dose into the batch may have. */
const OVERSHOOT_RISK = 0.006;
/** The same where a sample has shown the way: no hurry is left. */
const SHOWN_RISK = 0.002;
/** A sample taken aside may be overshot, but one that is inside tells more than one that jumped over. */
const SAMPLE_RISK = 0.03;

/** What is dosed: the batch, the batch after a sample has shown the way, or the sample. */
export type Dosing = "batch" | "shown" | "sample";

const RISKS: Readonly<Record<Dosing, number>> = { batch: OVERSHOOT_RISK, shown: SHOWN_RISK, sample: SAMPLE_RISK };
const CLEARLY_PAST_PH = 0.1;

/** Part that the next dose's own error makes of it, by member. */
function nextDoseFactors(members: number, seed: number): Float64Array {
  const random = randomFrom(seed);
  return Float64Array.from({ length: members }, () => Math.max(0.5, 1 + DOSE_ERROR * random.normal()));
}

export interface Aim {
  readonly next: readonly AgentTable[];
  readonly middle: number;
  readonly farEdge: number;
  readonly seed: number;
  readonly dosing: Dosing;
}

export function doseLimits(model: BatchModel, ensemble: Ensemble, { next, middle, farEdge, seed, dosing }: Aim): DoseLimits {
  const factors = nextDoseFactors(ensemble.members, seed);
  const toMiddle = new Float64Array(ensemble.members);
  const passing = new Float64Array(ensemble.members);
  const clearlyPassing = new Float64Array(ensemble.members);
  const clearlyPast = farEdge + Math.sign(farEdge - middle) * CLEARLY_PAST_PH;
  for (let member = 0; member < ensemble.members; member += 1) {
    const batch = model.batchNow(ensemble.coordinates, member * ensemble.coordinatesEach);
    toMiddle[member] = doseTo(batch, middle, model.dosed, next);
    passing[member] = doseTo(batch, farEdge, model.dosed, next) / factors[member]!;
    clearlyPassing[member] = doseTo(batch, clearlyPast, model.dosed, next) / factors[member]!;
  }
  return {
    toMiddle: median(toMiddle),
    safe: cautiousLowQuantile(clearlyPassing, RISKS[dosing]),
    passing,
  };
}

/** Chance that a dose passes the far edge. */
export function passingChance({ passing }: DoseLimits, dose: number): number {
  let past = 0;
  for (const limit of passing) if (dose > limit) past += 1;
  return past / passing.length;
}

export interface ExpectedPh {
  readonly expectedPh: number;
  /** 90 % of the plausible batches lie between. */
  readonly expectedPhLow: number;
  readonly expectedPhHigh: number;
}

/** pH after a further dose, mmol/kg, dosing error included. */
export function expectedPh(
  model: BatchModel,
  ensemble: Ensemble,
  { dose, isCounter, seed }: { dose: number; isCounter: boolean; seed: number },
): ExpectedPh {
  const factors = nextDoseFactors(ensemble.members, seed);
  const phs = Float64Array.from({ length: ensemble.members }, (_, member) => {
    const batch = model.batchNow(ensemble.coordinates, member * ensemble.coordinatesEach);
    if (isCounter) batch.counterTotal += dose * factors[member]!;
    else batch.agentTotal += dose * factors[member]!;
    return phOf(batch, model.dosed);
  }).sort();
  return {
    expectedPh: quantileOfSorted(phs, 0.5),
    expectedPhLow: quantileOfSorted(phs, 0.05),
    expectedPhHigh: quantileOfSorted(phs, 0.95),
  };
}
