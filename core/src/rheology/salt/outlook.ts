import type { Ensemble } from "../../numerics/ensemble.ts";
import { median, quantileOfSorted } from "../../numerics/quantiles.ts";
import { randomFrom } from "../../numerics/random.ts";
import { gramsToSalt, safeMaxPercent, saltFor, viscosityAt } from "./saltCurve.ts";
import { ADDITION_ERROR, ON_TARGET, type CurveModel, type Thickening } from "./plausibleCurves.ts";

/** Chance of passing the peak that one addition may have. */
const PEAK_RISK = 0.002;
/**
 * Chance of ending more than that too thick that an addition may have: little while there are additions to spare, more
 * once the batch has been stirred and rested four times.
 */
const TOO_THICK_RISKS = [0.02, 0.03, 0.05, 0.1];
const LATE_TOO_THICK_RISK = 0.2;

/** What the plausible salt curves say of the batch and of more salt. */
export interface Outlook {
  readonly saltNow: number;
  /** Advised addition, g. */
  readonly grams: number;
  readonly nowOnTarget: number;
  readonly nowMiddle: number;
  /** Share of the salt curves whose safe part reaches the target. */
  readonly reachable: number;
  readonly highestSafe: number;
  /** Share of the salt curves on whose safe edge, or beyond, the batch stands. */
  readonly nearTop: number;
  after(grams: number): { readonly expected: number; readonly low: number; readonly high: number };
  peakChance(grams: number): number;
}

/** Looks at every plausible salt curve: where the batch stands on it, and what more salt would do. */
export function outlookOf(
  { strengthPercent, target, additions }: Thickening,
  model: CurveModel,
  { members, coordinates, coordinatesEach }: Ensemble,
  seed: number,
): Outlook {
  const random = randomFrom(seed);
  const made = new Set(additions.map(({ gramsTotal }) => gramsTotal)).size - 1;
  const tooThickRisk = TOO_THICK_RISKS[Math.max(0, made)] ?? LATE_TOO_THICK_RISK;
  const factors = Float64Array.from({ length: members }, () => 1 + ADDITION_ERROR * random.normal());
  const saltCurves = Array.from({ length: members }, (_, k) => model.curveOf(coordinates, k * coordinatesEach));
  const salts = Float64Array.from({ length: members }, (_, k) => model.saltNow(coordinates, k * coordinatesEach));
  /** Grams that bring the batch from one salt to another. */
  const gramsTo = (from: number, to: number): number => gramsToSalt(model.massGrams, { from, to, strengthPercent });
  const saltAfter = (from: number, grams: number): number => (model.massGrams * from + grams * strengthPercent) / (model.massGrams + grams);
  const toTarget = saltCurves.map((saltCurve, k) => {
    const salt = saltFor(saltCurve, target);
    return salt === null ? (viscosityAt(saltCurve, salts[k]!) >= target ? 0 : Infinity) : gramsTo(salts[k]!, salt);
  });
  const toTooThick = saltCurves.map((saltCurve, k) => {
    const salt = saltFor(saltCurve, target * (1 + ON_TARGET));
    return salt === null ? Infinity : Math.max(0, gramsTo(salts[k]!, salt) / factors[k]!);
  });
  const toPeak = saltCurves.map((saltCurve, k) => gramsTo(salts[k]!, saltCurve.peakSaltPercent) / factors[k]!);
  const toSafe = saltCurves.map((saltCurve, k) => gramsTo(salts[k]!, safeMaxPercent(saltCurve)));
  const now = Float64Array.from(saltCurves, (saltCurve, k) => viscosityAt(saltCurve, salts[k]!));
  const share = (isTrue: (k: number) => boolean): number => saltCurves.filter((_, k) => isTrue(k)).length / members;
  const atSafe = saltCurves.map((saltCurve) => viscosityAt(saltCurve, safeMaxPercent(saltCurve)));
  return {
    saltNow: median(salts),
    grams: Math.max(
      0,
      Math.min(
        median(toTarget),
        quantileOfSorted(Float64Array.from(toPeak).sort(), PEAK_RISK),
        median(toSafe),
        quantileOfSorted(Float64Array.from(toTooThick).sort(), tooThickRisk),
      ),
    ),
    nowOnTarget: share((k) => Math.abs(now[k]! / target - 1) <= ON_TARGET),
    nowMiddle: median(now),
    reachable: share((k) => atSafe[k]! >= target * (1 - ON_TARGET)),
    highestSafe: median(atSafe),
    nearTop: share((k) => toSafe[k]! <= 0),
    after(grams) {
      const sorted = Float64Array.from(saltCurves, (saltCurve, k) =>
        viscosityAt(saltCurve, saltAfter(salts[k]!, grams * factors[k]!)),
      ).sort();
      return { expected: quantileOfSorted(sorted, 0.5), low: quantileOfSorted(sorted, 0.05), high: quantileOfSorted(sorted, 0.95) };
    },
    peakChance: (grams) => share((k) => grams > toPeak[k]!),
  };
}
