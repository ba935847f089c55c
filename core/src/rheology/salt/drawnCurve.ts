import { fitSaltCurve, type SaltPoint } from "./fitSaltCurve.ts";
import { safeMaxPercent, viscosityAt, type SaltCurve } from "./saltCurve.ts";

/** A salt curve for a picture. */
export interface DrawnCurve {
  readonly points: readonly (SaltPoint & { readonly low: number | null; readonly high: number | null })[];
  readonly peakSaltPercent: number;
  readonly peakViscosity: number;
  /** Most salt to go to. */
  readonly safeMaxPercent: number;
  /** How far the readings lie off it, a factor less one, %; null for a salt curve that was not fitted. */
  readonly typicalMissPercent: number | null;
}

const POINTS = 60;

/** A known salt curve between two salts. */
export function drawnCurveOf(saltCurve: SaltCurve, { from, to }: { readonly from: number; readonly to: number }): DrawnCurve {
  return drawn(saltCurve, { from, to }, { band: () => null, typicalMissPercent: null });
}

/** The salt curve fitted through jars and readings, with its 95 % band; null where they are too few or bracket no peak. */
export function fittedCurve(points: readonly SaltPoint[]): DrawnCurve | null {
  const fitting = fitSaltCurve(points);
  if (!fitting.found) return null;
  const { saltCurve, band, rmsLog10 } = fitting.value;
  const salts = points.map(({ saltPercent }) => saltPercent);
  return drawn(saltCurve, { from: Math.min(...salts), to: Math.max(...salts) }, { band, typicalMissPercent: 100 * (10 ** rmsLog10 - 1) });
}

function drawn(
  saltCurve: SaltCurve,
  { from, to }: { readonly from: number; readonly to: number },
  {
    band,
    typicalMissPercent,
  }: {
    readonly band: (saltPercent: number) => { readonly low: number; readonly high: number } | null;
    readonly typicalMissPercent: number | null;
  },
): DrawnCurve {
  const points = Array.from({ length: POINTS }, (_, at) => {
    const saltPercent = from + ((to - from) * at) / (POINTS - 1);
    const around = band(saltPercent);
    return { saltPercent, viscosity: viscosityAt(saltCurve, saltPercent), low: around?.low ?? null, high: around?.high ?? null };
  });
  return {
    points,
    peakSaltPercent: saltCurve.peakSaltPercent,
    peakViscosity: viscosityAt(saltCurve, saltCurve.peakSaltPercent),
    safeMaxPercent: safeMaxPercent(saltCurve),
    typicalMissPercent,
  };
}
