import type { Ensemble } from "../../numerics/ensemble.ts";
import { cautiousLowQuantile, median, quantileOfSorted } from "../../numerics/quantiles.ts";
import { randomFrom } from "../../numerics/random.ts";
import type { AgentTable } from "./alkalinity.ts";
import { doseTo, phOf } from "./plausibleBatch.ts";
import { DOSE_ERROR, type BatchModel } from "./plausibleBatches.ts";

/** The pH of every plausible batch after the last reading, in the order of the members. */
export function phNow(model: BatchModel, ensemble: Ensemble): Float64Array {
  return Float64Array.from({ length: ensemble.members }, (_, member) =>
    phOf(model.batchNow(ensemble.coordinates, member * ensemble.coordinatesEach), model.agent, model.counter),
  );
}

export function shareInside(phs: Float64Array, low: number, high: number): number {
  let inside = 0;
  for (const ph of phs) if (ph >= low && ph <= high) inside += 1;
  return inside / phs.length;
}

/** What a further dose may be, mmol/kg. */
export interface DoseLimits {
  /** To the middle of the window by the middle of the members. */
  readonly toMiddle: number;
  /** The largest whose chance of passing the far edge stays within the risk. */
  readonly safe: number;
  /** Dose as meant that would carry each member past the far edge. */
  readonly passing: Float64Array;
}

/** Chance of passing the far edge that a dose may have. */
export const OVERSHOOT_RISK = 0.001;

/** Part that the next dose's own error makes of it, by member. */
function nextDoseFactors(members: number, seed: number): Float64Array {
  const random = randomFrom(seed);
  return Float64Array.from({ length: members }, () => Math.max(0.5, 1 + DOSE_ERROR * random.normal()));
}

export interface Aim {
  readonly dosed: AgentTable;
  readonly middle: number;
  readonly farEdge: number;
  readonly seed: number;
}

export function doseLimits(model: BatchModel, ensemble: Ensemble, { dosed, middle, farEdge, seed }: Aim): DoseLimits {
  const tables = { agent: model.agent, counter: model.counter, dosed };
  const factors = nextDoseFactors(ensemble.members, seed);
  const toMiddle = new Float64Array(ensemble.members);
  const passing = new Float64Array(ensemble.members);
  for (let member = 0; member < ensemble.members; member += 1) {
    const batch = model.batchNow(ensemble.coordinates, member * ensemble.coordinatesEach);
    toMiddle[member] = doseTo(batch, middle, tables);
    passing[member] = doseTo(batch, farEdge, tables) / factors[member]!;
  }
  return { toMiddle: median(toMiddle), safe: cautiousLowQuantile(passing, OVERSHOOT_RISK), passing };
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
    return phOf(batch, model.agent, model.counter);
  }).sort();
  return {
    expectedPh: quantileOfSorted(phs, 0.5),
    expectedPhLow: quantileOfSorted(phs, 0.05),
    expectedPhHigh: quantileOfSorted(phs, 0.95),
  };
}
