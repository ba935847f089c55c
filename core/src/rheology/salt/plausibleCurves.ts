import type { EnsembleProblem } from "../../numerics/ensemble.ts";
import type { SaltPoint } from "./fitSaltCurve.ts";
import { log10Viscosity, safeMaxPercent, type SaltCurve } from "./saltCurve.ts";

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
  readonly additions: readonly { readonly gramsTotal: number; readonly viscosity: number }[];
}

/** What the advisor holds possible before anything is read. */
const PEAK_PERCENT = { low: 1.2, high: 3.5 };
const WIDTH_PERCENT = { low: 0.3, high: 1 };
/** Thickness itself is log-uniform. A base that answers to salt at all answers five-fold. */
const HEIGHT_DECADES = { low: 0.7, high: 3.5 };
/** The baseline lies below the thinnest reading by up to this, decades, or above it by noise. */
const BASELINE_DECADES = { low: -1.5, high: 0.1 };
/** This near is on target, as a part of it. */
export const ON_TARGET = 0.15;
/** Wishes this base cannot fulfil are one in a thousand: who sets a target knows the kind of product. */
const LN_HARDLY = Math.log(0.001);
/** Relative error of a home reading and of one addition. */
const READING_ERROR = 0.08;
export const ADDITION_ERROR = 0.02;
const READING_SIGMA = READING_ERROR / Math.LN10;

/** Reads members back as salt curves and says how much salt each believes is in the batch. */
export interface CurveModel {
  readonly problem: EnsembleProblem;
  /** Batch with everything that went in, g. */
  readonly massGrams: number;
  curveOf(coordinates: Float64Array, offset: number): SaltCurve;
  /** Whole salt in the batch now, % w/w, with this member's own weighing errors. */
  saltNow(coordinates: Float64Array, offset: number): number;
}

export function curveModel({ batchGrams, hiddenSaltPercent, strengthPercent, target, jars, additions }: Thickening): CurveModel {
  const readings = [...jars, ...additions].map(({ viscosity }) => viscosity);
  const thinnest = Math.log10(readings.length > 0 ? Math.min(...readings) : target / 10);
  const jarLogs = jars.map(({ viscosity }) => Math.log10(viscosity));
  const additionLogs = additions.map(({ viscosity }) => Math.log10(viscosity));
  const steps = additions.map(({ gramsTotal }, k) => gramsTotal - (additions[k - 1]?.gramsTotal ?? 0));
  const uniformCount = 4;
  const massGrams = batchGrams + (additions.at(-1)?.gramsTotal ?? 0);
  const within = ({ low, high }: { low: number; high: number }, part: number): number => low + (high - low) * part;

  function curveOf(coordinates: Float64Array, offset: number): SaltCurve {
    return {
      peakSaltPercent: within(PEAK_PERCENT, coordinates[offset]!),
      width: within(WIDTH_PERCENT, coordinates[offset + 1]!),
      height: within(HEIGHT_DECADES, coordinates[offset + 2]!),
      baseline: thinnest + within(BASELINE_DECADES, coordinates[offset + 3]!),
    };
  }

  function saltAfter(coordinates: Float64Array, offset: number, count: number): number {
    let saltGrams = (batchGrams * hiddenSaltPercent) / 100;
    let mass = batchGrams;
    for (let k = 0; k < count; k += 1) {
      const grams = steps[k]! * (1 + ADDITION_ERROR * coordinates[offset + uniformCount + k]!);
      saltGrams += (grams * strengthPercent) / 100;
      mass += grams;
    }
    return (100 * saltGrams) / mass;
  }

  const logLikelihood = (saltCurve: SaltCurve, salt: number, reading: number): number => {
    const miss = (log10Viscosity(saltCurve, salt) - reading) / READING_SIGMA;
    return (-miss * miss) / 2;
  };

  const wished = Math.log10(target * (1 - ON_TARGET));

  const problem: EnsembleProblem = {
    uniformCount,
    normalCount: additions.length,
    stages: jars.length + additions.length,
    evaluate(coordinates, offset, stage, out) {
      const saltCurve = curveOf(coordinates, offset);
      // The wish counts with the first observation, which is where weighting begins.
      const byWish = log10Viscosity(saltCurve, safeMaxPercent(saltCurve)) < wished ? LN_HARDLY : 0;
      let before = stage > 0 ? byWish : 0;
      for (let k = 0; k <= stage; k += 1) {
        const addition = k - jars.length;
        const one =
          addition < 0
            ? logLikelihood(saltCurve, jars[k]!.saltPercent, jarLogs[k]!)
            : logLikelihood(saltCurve, saltAfter(coordinates, offset, addition + 1), additionLogs[addition]!);
        if (k === stage) out[1] = k === 0 ? one + byWish : one;
        else before += one;
      }
      out[0] = before;
    },
  };
  return { problem, massGrams, curveOf, saltNow: (coordinates, offset) => saltAfter(coordinates, offset, additions.length) };
}
