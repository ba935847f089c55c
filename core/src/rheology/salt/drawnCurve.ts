import { fitSaltCurve, type SaltPoint } from "./fitSaltCurve.ts";
import { safeMaxPercent, viscosityAt, type Hill } from "./saltCurve.ts";

/** A salt hill for a picture. */
export interface DrawnHill {
  readonly points: readonly (SaltPoint & { readonly low: number | null; readonly high: number | null })[];
  readonly peakSaltPercent: number;
  readonly peakViscosity: number;
  /** Most salt to go to. */
  readonly safeMaxPercent: number;
  /** How far the readings lie off it, a factor less one, %; null for a hill that was not fitted. */
  readonly typicalMissPercent: number | null;
}

const POINTS = 60;

/** A known hill between two salts. */
export function drawnHill(hill: Hill, { from, to }: { readonly from: number; readonly to: number }): DrawnHill {
  return drawn(hill, { from, to }, { band: () => null, typicalMissPercent: null });
}

/** The hill fitted through jars and readings, with its 95 % band; null where they are too few or bracket no peak. */
export function fittedHill(points: readonly SaltPoint[]): DrawnHill | null {
  const fitting = fitSaltCurve(points);
  if (!fitting.found) return null;
  const { hill, band, rmsLog10 } = fitting.value;
  const salts = points.map(({ saltPercent }) => saltPercent);
  return drawn(hill, { from: Math.min(...salts), to: Math.max(...salts) }, { band, typicalMissPercent: 100 * (10 ** rmsLog10 - 1) });
}

function drawn(
  hill: Hill,
  { from, to }: { readonly from: number; readonly to: number },
  {
    band,
    typicalMissPercent,
  }: {
    readonly band: (saltPercent: number) => { readonly low: number; readonly high: number } | null;
    readonly typicalMissPercent: number | null;
  },
): DrawnHill {
  const points = Array.from({ length: POINTS }, (_, at) => {
    const saltPercent = from + ((to - from) * at) / (POINTS - 1);
    const around = band(saltPercent);
    return { saltPercent, viscosity: viscosityAt(hill, saltPercent), low: around?.low ?? null, high: around?.high ?? null };
  });
  return {
    points,
    peakSaltPercent: hill.peakSaltPercent,
    peakViscosity: viscosityAt(hill, hill.peakSaltPercent),
    safeMaxPercent: safeMaxPercent(hill),
    typicalMissPercent,
  };
}
