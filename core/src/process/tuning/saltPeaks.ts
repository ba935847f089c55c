import { fitSaltCurve } from "../../rheology/salt/fitSaltCurve.ts";
import type { SaltSample } from "./thicknessTuning.ts";

/** Whole salt at the peak of each base whose samples draw a salt curve, % w/w, by the base's hash. */
export function saltPeaksOf(samples: readonly (SaltSample & { readonly base: string })[]): Readonly<Record<string, number>> {
  const bases = [...new Set(samples.map(({ base }) => base))];
  const peaks = bases.flatMap((base) => {
    const fitting = fitSaltCurve(samples.filter((sample) => sample.base === base && sample.unit === "Pa·s"));
    return fitting.found ? [[base, fitting.value.saltCurve.peakSaltPercent] as const] : [];
  });
  return Object.fromEntries(peaks);
}
