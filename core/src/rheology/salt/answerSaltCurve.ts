import { FEWEST_POINTS, fitSaltCurve, type SaltPoint } from "./fitSaltCurve.ts";
import { safeMaxPercent, saltFor, viscosityAt } from "./saltCurve.ts";

export interface SaltCurveAnswer {
  readonly fit: {
    readonly peakSaltPercent: number;
    readonly peakViscosity: number;
    readonly width: number;
    /** log₁₀ of the thickness far from the peak. */
    readonly baseline: number;
    readonly rmsLog10: number;
    /** 95 %; null with as many points as unknowns. */
    readonly peakRange: { readonly low: number; readonly high: number } | null;
  } | null;
  /** Most salt to go to; null without a fit. */
  readonly safeMaxPercent: number | null;
  /** Salt for the wanted thickness on the rising side; null where there is none or it is not safe. */
  readonly recommendSaltPercent: number | null;
  /** Change of log₁₀ η per % salt between the last two points; null with fewer. */
  readonly slopeLog10PerPercent: number | null;
  readonly text: string;
}

/** The salt curve through jars: the fit where there can be one, otherwise the dots and their slope. */
export function answerSaltCurve(points: readonly SaltPoint[], target: number | null): SaltCurveAnswer {
  const slopeLog10PerPercent = lastSlope(points);
  const fitting = fitSaltCurve(points);
  if (!fitting.found) {
    const more =
      points.length < FEWEST_POINTS
        ? ` Make samples until there are ${FEWEST_POINTS}, the last one thinner again.`
        : " Add samples on both sides of the thickest.";
    return {
      fit: null,
      safeMaxPercent: null,
      recommendSaltPercent: null,
      slopeLog10PerPercent,
      text: `No curve: ${fitting.reason}.${more}`,
    };
  }
  const { saltCurve, rmsLog10, peakRange } = fitting.value;
  const safe = safeMaxPercent(saltCurve);
  const wanted = target === null ? null : saltFor(saltCurve, target);
  const recommendSaltPercent = wanted !== null && wanted >= 0 && wanted <= safe ? wanted : null;
  return {
    fit: {
      peakSaltPercent: saltCurve.peakSaltPercent,
      peakViscosity: viscosityAt(saltCurve, saltCurve.peakSaltPercent),
      width: saltCurve.width,
      baseline: saltCurve.baseline,
      rmsLog10,
      peakRange,
    },
    safeMaxPercent: safe,
    recommendSaltPercent,
    slopeLog10PerPercent,
    text: told({
      safe,
      highest: viscosityAt(saltCurve, safe),
      peak: saltCurve.peakSaltPercent,
      target,
      recommendSaltPercent,
      thinnest: 10 ** saltCurve.baseline,
    }),
  };
}

function lastSlope(points: readonly SaltPoint[]): number | null {
  const [before, last] = [...points].sort((a, b) => a.saltPercent - b.saltPercent).slice(-2);
  if (before === undefined || last === undefined || before.saltPercent === last.saltPercent) return null;
  return (Math.log10(last.viscosity) - Math.log10(before.viscosity)) / (last.saltPercent - before.saltPercent);
}

interface Told {
  readonly safe: number;
  readonly highest: number;
  readonly peak: number;
  readonly target: number | null;
  readonly recommendSaltPercent: number | null;
  readonly thinnest: number;
}

function told({ safe, highest, peak, target, recommendSaltPercent, thinnest }: Told): string {
  const edge = `Thickest at ${peak.toFixed(2)} % salt; past it more salt thins. Stay below ${safe.toFixed(2)} %, where it reaches ${short(highest)}.`;
  if (target === null) return edge;
  if (recommendSaltPercent !== null) return `${short(target)} is reached at ${recommendSaltPercent.toFixed(2)} % salt in all. ${edge}`;
  if (target <= thinnest) return `${short(target)} is thinner than this base without salt. ${edge}`;
  return `${short(target)} is beyond the safe part; the highest safe thickness is ${short(highest)}. ${edge}`;
}

function short(value: number): string {
  return String(Number(value.toPrecision(3)));
}
