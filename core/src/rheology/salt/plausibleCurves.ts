import type { EnsembleProblem } from "../../numerics/ensemble.ts";
import type { SaltPoint } from "./fitSaltCurve.ts";
import { meantBy } from "../viscosity/words.ts";
import { climbedAt, plausibleLog10, plausibleSafeMax, type PlausibleCurve } from "./plausibleCurve.ts";

/** How a thickness was told. Seconds through a funnel scatter more than a number off an instrument; a word is a range. */
export const thicknessGauges = ["number", "funnel", "word"] as const;
export type ThicknessGauge = (typeof thicknessGauges)[number];

/** A batch on its way to a thickness. */
export interface Thickening {
  /** Before any addition, g. */
  readonly batchGrams: number;
  /** Salt the cleansers bring, % w/w. */
  readonly hiddenSaltPercent: number;
  /** Of the brine, % w/w; 100 is dry salt. */
  readonly strengthPercent: number;
  /** In the maker's own unit, as every viscosity. */
  readonly target: number;
  /** Trials with the same base. */
  readonly jars: readonly SaltPoint[];
  /** Running totals, with the reading after each rest. */
  readonly additions: readonly ThicknessReading[];
}

export interface ThicknessReading {
  readonly gramsTotal: number;
  /** Of a word: the middle of what it means. */
  readonly viscosity: number;
  /** Not told: a number. */
  readonly gauge?: ThicknessGauge;
}

/** What the advisor holds possible before anything is read. */
const PEAK_PERCENT = { low: 1.2, high: 3.5 };
const WIDTH_PERCENT = { low: 0.25, high: 1 };
/** Thickness itself is log-uniform. A base that answers to salt at all answers five-fold. */
const HEIGHT_DECADES = { low: 0.7, high: 2.8 };
/** Bases that hardly answer, and what they gain at most, decades. */
const WEAK_SHARE = 0.35;
const WEAK_DECADES = 0.6;
/** Bases that stand past their peak by what their cleansers bring: the peak as a part of that. */
const PAST_SHARE = 0.08;
const PAST_PART = { low: 0.5, high: 1 };
const PLATEAU_SHARE = 0.3;
const PLATEAU_PERCENT = 0.6;
const STEEP_SHARE = 0.4;
const MOST_STEEP = 0.7;
/** The salt the cleansers bring, as a part of what is told. */
const HIDDEN_SALT = { low: 0.7, high: 1.35 };
/** This near is on target, as a part of it. */
export const ON_TARGET = 0.15;
/** Who sets a target knows the kind of product: bases that answer, but not that far, are as rare as this beside those that do. */
const LN_SELDOM = Math.log(0.12);
/** Relative error of one reading by number, by the funnel, and of a word at the edges of what it means. */
const READING_ERRORS: Readonly<Record<ThicknessGauge, number>> = { number: 0.08, funnel: 0.12, word: 0.25 };
/** What reading again does not take away. */
const STAYS_OFF = 0.02;
export const ADDITION_ERROR = 0.02;
/** What the first reading may be off, in its own spreads. */
const FIRST_SPREADS = 3;

/** Reads members back as salt curves and says how much salt each believes is in the batch. */
export interface CurveModel {
  readonly problem: EnsembleProblem;
  /** Batch with everything that went in, g. */
  readonly massGrams: number;
  curveOf(coordinates: Float64Array, offset: number): PlausibleCurve;
  /** Whole salt in the batch now, % w/w, with this member's own weighing errors. */
  saltNow(coordinates: Float64Array, offset: number): number;
}

const within = ({ low, high }: { low: number; high: number }, part: number): number => low + (high - low) * part;
/** A share of the members has none of it, the others up to `most`, evenly. */
const some = (share: number, most: number, part: number): number => most * Math.max(0, (part - (1 - share)) / share);

export function curveModel({ batchGrams, hiddenSaltPercent, strengthPercent, target, jars, additions: all }: Thickening): CurveModel {
  const additions = restsOf(all);
  const jarTold = jars.map(({ viscosity }) => toldBy([viscosity], "number"));
  const additionTold = additions.map(({ readings, gauge }) => toldBy(readings, gauge));
  const first = jarTold[0] ?? additionTold[0] ?? { low: 0, high: 0, sigma: 1 };
  const steps = additions.map(({ gramsTotal }, k) => gramsTotal - (additions[k - 1]?.gramsTotal ?? 0));
  const uniformCount = 8;
  const massGrams = batchGrams + (additions.at(-1)?.gramsTotal ?? 0);

  const hiddenOf = (coordinates: Float64Array, offset: number): number => hiddenSaltPercent * within(HIDDEN_SALT, coordinates[offset + 6]!);

  /** A jar of the same base holds the same hidden salt, however it is told. */
  const jarSalt = (jar: number, coordinates: Float64Array, offset: number): number =>
    jars[jar]!.saltPercent + hiddenOf(coordinates, offset) - hiddenSaltPercent;

  function curveOf(coordinates: Float64Array, offset: number): PlausibleCurve {
    const isPast = coordinates[offset + 7]! < PAST_SHARE;
    const strength = coordinates[offset + 2]!;
    const height =
      strength < WEAK_SHARE
        ? WEAK_DECADES * Math.max(0, (2 * strength) / WEAK_SHARE - 1)
        : within(HEIGHT_DECADES, (strength - WEAK_SHARE) / (1 - WEAK_SHARE));
    const curve = {
      peakSaltPercent: isPast
        ? hiddenOf(coordinates, offset) * within(PAST_PART, coordinates[offset]!)
        : within(PEAK_PERCENT, coordinates[offset]!),
      width: within(WIDTH_PERCENT, coordinates[offset + 1]!),
      plateauPercent: some(PLATEAU_SHARE, PLATEAU_PERCENT, coordinates[offset + 4]!),
      steepPart: some(STEEP_SHARE, MOST_STEEP, coordinates[offset + 5]!),
      height,
      baseline: 0,
    };
    const salt = jars.length > 0 ? jarSalt(0, coordinates, offset) : saltAfter(coordinates, offset, 1);
    // The first reading says where the curve stands: whatever its form, it passes near it.
    const span = { low: first.low - FIRST_SPREADS * first.sigma, high: first.high + FIRST_SPREADS * first.sigma };
    return { ...curve, baseline: within(span, coordinates[offset + 3]!) - height * climbedAt(curve, salt) };
  }

  function saltAfter(coordinates: Float64Array, offset: number, count: number): number {
    let saltGrams = (batchGrams * hiddenOf(coordinates, offset)) / 100;
    let mass = batchGrams;
    for (let k = 0; k < count; k += 1) {
      const grams = (steps[k] ?? 0) * (1 + ADDITION_ERROR * (coordinates[offset + uniformCount + k] ?? 0));
      saltGrams += (grams * strengthPercent) / 100;
      mass += grams;
    }
    return (100 * saltGrams) / mass;
  }

  const wished = Math.log10(target * (1 - ON_TARGET));

  const problem: EnsembleProblem = {
    uniformCount,
    normalCount: additions.length,
    stages: jars.length + additions.length,
    evaluate(coordinates, offset, stage, out) {
      const curve = curveOf(coordinates, offset);
      // The wish counts with the first observation, which is where weighting begins.
      const falls = curve.height >= HEIGHT_DECADES.low && plausibleLog10(curve, plausibleSafeMax(curve)) < wished;
      const byWish = falls ? LN_SELDOM : 0;
      let before = stage > 0 ? byWish : 0;
      for (let k = 0; k <= stage; k += 1) {
        const addition = k - jars.length;
        const one =
          addition < 0
            ? lnLikelihood(plausibleLog10(curve, jarSalt(k, coordinates, offset)), jarTold[k]!)
            : lnLikelihood(plausibleLog10(curve, saltAfter(coordinates, offset, addition + 1)), additionTold[addition]!);
        if (k === stage) out[1] = k === 0 ? one + byWish : one;
        else before += one;
      }
      out[0] = before;
    },
  };
  return { problem, massGrams, curveOf, saltNow: (coordinates, offset) => saltAfter(coordinates, offset, additions.length) };
}

/** What a reading tells, log₁₀: from, to, and how far beyond it may still be. */
interface Told {
  readonly low: number;
  readonly high: number;
  readonly sigma: number;
}

/** A word read again is the same word; numbers read again are better known by their mean, to a rest that stays. */
function toldBy(readings: readonly number[], gauge: ThicknessGauge): Told {
  const sigma = READING_ERRORS[gauge] / Math.LN10;
  if (gauge === "word") {
    const { from, to } = meantBy(readings.at(-1)!);
    return { low: Math.log10(from), high: Math.log10(to), sigma };
  }
  const mean = readings.reduce((sum, one) => sum + Math.log10(one), 0) / readings.length;
  return { low: mean, high: mean, sigma: Math.hypot(sigma / Math.sqrt(readings.length), STAYS_OFF / Math.LN10) };
}

/** What was read after each addition has rested. */
export interface Rest {
  readonly gramsTotal: number;
  readonly readings: readonly number[];
  readonly gauge: ThicknessGauge;
}

/** Readings of one total as one rest; by another gauge it is another. */
export function restsOf(additions: Thickening["additions"]): readonly Rest[] {
  const rests: Rest[] = [];
  for (const { gramsTotal, viscosity, gauge = "number" } of additions) {
    const last = rests.at(-1);
    if (last?.gramsTotal === gramsTotal && last.gauge === gauge) {
      rests[rests.length - 1] = { ...last, readings: [...last.readings, viscosity] };
    } else rests.push({ gramsTotal, readings: [viscosity], gauge });
  }
  return rests;
}

function lnLikelihood(log10: number, told: Told): number {
  const miss = missOfTold(log10, told);
  return (-miss * miss) / 2;
}

function missOfTold(log10: number, { low, high, sigma }: Told): number {
  return Math.max(low - log10, 0, log10 - high) / sigma;
}

/** How far what a rest was read as lies from a thickness, in its own spreads. */
export function missOf({ readings, gauge }: Rest, viscosity: number): number {
  return missOfTold(Math.log10(viscosity), toldBy(readings, gauge));
}
