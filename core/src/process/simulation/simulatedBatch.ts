import { assessSums } from "../../assessment/readings.ts";
import { randomFrom, type Random } from "../../numerics/random.ts";
import { fitSaltCurve } from "../../rheology/salt/fitSaltCurve.ts";
import { log10Viscosity, safeMaxPercent, saltFor, viscosityAt, type SaltCurve } from "../../rheology/salt/saltCurve.ts";
import type { BatchPlan } from "../batch/batchPlan.ts";
import { agentsOf } from "../tuning/agents.ts";
import { buffersInBatch, tunedCorridor } from "../tuning/phTuning.ts";
import { aimedThickness, type SaltSample } from "../tuning/thicknessTuning.ts";

/** What nobody at the bench knows of a batch: what holds its pH, where it begins, how it answers to salt. */
export interface SimulatedBatch {
  readonly sites: readonly { readonly pKa: number; readonly mmolPerKg: number }[];
  /** Before anything is dosed. */
  readonly startPh: number;
  readonly saltCurve: SaltCurve;
  /** Thickness after a scent that comes late, as a part of what it was. */
  readonly afterScent: number;
  /** What the simulated meter is off by before anybody sets it right. */
  readonly meter: { readonly offsetPh: number; readonly slopePercent: number };
  readonly density: number;
}

/** How far a batch begins from its corridor, pH. */
const AWAY_PH = { low: 0.9, high: 2.4 };
const START_PH = { low: 3, high: 10.5 };
/** A weak site or two nobody wrote down: botanical extracts, residual amine, hard water; mmol/kg and pKa. */
const MOST_UNKNOWN = 2;
const UNKNOWN_MMOL_PER_KG = { low: 1, high: 25 };
const UNKNOWN_PKA = { low: 3.5, high: 9 };
const PEAK_PERCENT = { low: 1.2, high: 3.5 };
const WIDTH_PERCENT = { low: 0.35, high: 0.9 };
/** It begins so many times thinner than wanted. */
const THINNER = { low: 4, high: 25 };
/** Its highest safe thickness over the wanted one. */
const REACHES = { low: 1.25, high: 3 };
const LEAST_WAY_PERCENT = 0.35;
const MOST_DRAWS = 400;
const AFTER_SCENT = { low: 0.55, high: 0.95 };
/** Lists of materials are off by a factor in two batches of five, salt from materials is told up to 30 % wrong. */
const LIST_IS_OFF = 0.4;
const OFF_FACTOR = { low: 0.3, high: 3 };
const HIDDEN_SALT = { low: 0.7, high: 1.3 };
/** One base in eight hardly answers to salt: it gains by so much at its peak. */
const HARDLY_ANSWERS = 0.125;
const WEAK_GAIN = { low: 1.3, high: 3 };
const PROBE = { offsetPh: 0.12, slopePercent: { low: 92, high: 100 } };
const USUAL_DENSITY = 1.02;

/**
 * Draws what is hidden in a batch, out of its own formula: titratable sites inside the ranges of its materials, or off by a
 * factor, and up to two nobody knows of; a pH outside its corridor on the side its own acid or base fixes; a salt curve
 * whose safe part mostly reaches what is wanted, and now and then hardly answers; where jars of the same base draw a salt curve, it is theirs. The same seed gives the same batch.
 */
export function simulatedBatch(plan: BatchPlan, seed: number, jars: readonly SaltSample[] = []): SimulatedBatch {
  const random = randomFrom(seed);
  const known = buffersInBatch(plan).map(({ pKa, low, high }) => ({ pKa, mmolPerKg: between(random, { low, high }) }));
  const unknown = Array.from({ length: Math.floor(random.uniform() * (MOST_UNKNOWN + 1)) }, () => ({
    pKa: between(random, UNKNOWN_PKA),
    mmolPerKg: logBetween(random, UNKNOWN_MMOL_PER_KG),
  }));
  const corridor = tunedCorridor(plan);
  const isAcidDosed = (agentsOf(plan)[0]?.kind ?? "acid") === "acid";
  const away = between(random, AWAY_PH);
  const startPh = Math.min(START_PH.high, Math.max(START_PH.low, isAcidDosed ? corridor.high + away : corridor.low - away));
  const drawnCurve = drawnCurveOf(random, plan);
  const afterScent = between(random, AFTER_SCENT);
  const meter = { offsetPh: PROBE.offsetPh * random.normal(), slopePercent: between(random, PROBE.slopePercent) };
  const isListOff = random.uniform() < LIST_IS_OFF;
  return {
    sites: [
      ...known.map((site) => (isListOff ? { ...site, mmolPerKg: site.mmolPerKg * logBetween(random, OFF_FACTOR) } : site)),
      ...unknown,
    ],
    startPh,
    saltCurve: curveOfSamples(jars) ?? asItIs(random, drawnCurve, hiddenSaltOf(plan)),
    ...{ afterScent, meter, density: USUAL_DENSITY },
  };
}

/** What data sheets do not say: the cleansers bring more or less salt, and now and then a base hardly answers to it. */
function asItIs(random: Random, told: SaltCurve, hiddenSaltPercent: number): SaltCurve {
  const more = hiddenSaltPercent * (between(random, HIDDEN_SALT) - 1);
  const curve = { ...told, peakSaltPercent: told.peakSaltPercent - more };
  if (random.uniform() >= HARDLY_ANSWERS) return curve;
  const start = viscosityAt(curve, hiddenSaltPercent);
  const weak = { ...curve, height: Math.log10(between(random, WEAK_GAIN)), baseline: 0 };
  return { ...weak, baseline: Math.log10(start) - log10Viscosity(weak, hiddenSaltPercent) };
}

function hiddenSaltOf(plan: BatchPlan): number {
  const sums = assessSums(plan.formula, plan.materials);
  return Math.max(0, sums.saltPercent - sums.addedSaltPercent);
}

function curveOfSamples(jars: readonly SaltSample[]): SaltCurve | null {
  const fitting = fitSaltCurve(jars.filter(({ unit }) => unit === "Pa·s"));
  return fitting.found ? fitting.value.saltCurve : null;
}

function drawnCurveOf(random: Random, plan: BatchPlan): SaltCurve {
  const target = aimedThickness(plan);
  const hiddenSaltPercent = hiddenSaltOf(plan);
  let drawn = curveThrough(
    hiddenSaltPercent,
    { saltPercent: hiddenSaltPercent + 1.5, width: 0.6 },
    { start: target / 10, top: target * 2 },
  );
  for (let draw = 0; draw < MOST_DRAWS; draw += 1) {
    const [start, top] = [target / logBetween(random, THINNER), target * logBetween(random, REACHES)];
    const peak = { saltPercent: hiddenSaltPercent + between(random, PEAK_PERCENT), width: between(random, WIDTH_PERCENT) };
    drawn = curveThrough(hiddenSaltPercent, peak, { start, top });
    const way = (saltFor(drawn, target) ?? 0) - hiddenSaltPercent;
    if (drawn.height < MOST_DECADES && way >= LEAST_WAY_PERCENT && viscosityAt(drawn, safeMaxPercent(drawn)) > target) return drawn;
  }
  return drawn;
}

const MOST_DECADES = 3.5;

/**
 * The salt curve of a given peak and width that begins at one thickness and has another on the edge of its safe part. With
 * g = e^(−(s − s₀)² ⁄ 2w²) there and here, log η = b + A g is two lines in b and A.
 */
function curveThrough(
  hiddenSaltPercent: number,
  { saltPercent: peakSaltPercent, width }: { readonly saltPercent: number; readonly width: number },
  { start, top }: { readonly start: number; readonly top: number },
): SaltCurve {
  const shape = (salt: number): number => Math.exp(-((salt - peakSaltPercent) ** 2) / (2 * width * width));
  const safe = safeMaxPercent({ peakSaltPercent, width, baseline: 0, height: 0 });
  const height = (Math.log10(top) - Math.log10(start)) / Math.max(1e-6, shape(safe) - shape(hiddenSaltPercent));
  return { peakSaltPercent, width, height, baseline: Math.log10(start) - height * shape(hiddenSaltPercent) };
}

function between(random: Random, { low, high }: { readonly low: number; readonly high: number }): number {
  return low + (high - low) * random.uniform();
}

function logBetween(random: Random, { low, high }: { readonly low: number; readonly high: number }): number {
  return low * (high / low) ** random.uniform();
}
