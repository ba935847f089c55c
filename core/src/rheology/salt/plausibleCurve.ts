import type { SaltCurve } from "./saltCurve.ts";

/**
 * A salt curve as the advisor holds it possible: like the fitted one, but its top may be a plateau, its rise may begin
 * gently and end steeply, and its height may be next to nothing.
 */
export interface PlausibleCurve extends SaltCurve {
  /** Salt before the peak over which it is as thick as there, %. */
  readonly plateauPercent: number;
  /** Part of the height that rises only close to the peak, 0 to 1. */
  readonly steepPart: number;
}

/** The steep part of a rise is narrower than the whole by this. */
const STEEPER = 2.4;
/** Part of the width that is kept from where it stops rising: beyond, one addition may go over. */
const KEPT_FROM_PEAK = 1 / 3;

/** Part of the height that a plausible curve has climbed at a salt, 0 to 1. */
export function climbedAt({ peakSaltPercent, width, plateauPercent, steepPart }: PlausibleCurve, saltPercent: number): number {
  const away = saltPercent - peakSaltPercent;
  const off = (away < 0 ? Math.min(0, away + plateauPercent) : away) / width;
  const gentle = Math.exp((-off * off) / 2);
  return steepPart === 0 ? gentle : gentle * (1 - steepPart) + steepPart * Math.exp((-off * off * STEEPER * STEEPER) / 2);
}

/** log₁₀ of the thickness at a salt, % w/w. */
export function plausibleLog10(curve: PlausibleCurve, saltPercent: number): number {
  return curve.baseline + curve.height * climbedAt(curve, saltPercent);
}

/** The most salt to go to: a third of a width before the peak, or where a plateau has been reached. */
export function plausibleSafeMax({ peakSaltPercent, width, plateauPercent }: PlausibleCurve): number {
  return peakSaltPercent - Math.max(plateauPercent, width * KEPT_FROM_PEAK);
}

/** Salt at which the rising side reaches log₁₀ of a thickness, % w/w; null where the curve never has it. Bisection to 1e-4 %. */
export function plausibleSaltFor(curve: PlausibleCurve, log10Viscosity: number): number | null {
  const part = (log10Viscosity - curve.baseline) / curve.height;
  if (!(part > 0) || part > 1) return null;
  let high = curve.peakSaltPercent - curve.plateauPercent;
  let low = high - curve.width * Math.max(1, Math.sqrt(2 * Math.log(1 / part)));
  if (curve.steepPart === 0) return high - curve.width * Math.sqrt(2 * Math.log(1 / part));
  while (high - low > 1e-4) {
    const middle = (low + high) / 2;
    if (climbedAt(curve, middle) < part) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
