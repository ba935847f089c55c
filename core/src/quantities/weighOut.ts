import { decimalPlaces, floorToMultiple, roundToMultiple, toDecimals } from "./decimals.ts";
import { finestFirst, scaleFor, type Scale } from "./scales.ts";

export interface MassToWeigh {
  /** Exact target, g. */
  readonly massGrams: number;
  /** The line that takes the remainder. */
  readonly takesTheRest: boolean;
}

export interface WeighedOut {
  /** What to bring on the scale, g. */
  readonly gramsToWeigh: number;
  readonly scale: Scale | undefined;
}

/**
 * Rounds each mass to the scale it is weighed on so that the sheet adds up to `totalGrams` exactly. With a line that
 * takes the rest, that line absorbs all rounding and is shown at the finest readability in use. Without one the
 * units left over go to the largest remainders, coarse scale first; what no scale step can carry stays with the
 * heaviest line not yet rounded up. Without scales the exact masses stand.
 */
export function weighOut(masses: readonly MassToWeigh[], totalGrams: number, scales: readonly Scale[]): readonly WeighedOut[] {
  const fromFinest = finestFirst(scales);
  if (fromFinest.length === 0) {
    return masses.map(({ massGrams }) => ({ gramsToWeigh: massGrams, scale: undefined }));
  }
  const chosen = masses.map(({ massGrams }) => scaleFor(massGrams, fromFinest) as Scale);
  const rest = masses.findIndex((mass) => mass.takesTheRest);
  const grams = rest >= 0 ? roundAround(masses, chosen, rest, totalGrams) : roundByRemainder(masses, chosen, totalGrams);
  return grams.map((gramsToWeigh, index) => ({ gramsToWeigh, scale: chosen[index] }));
}

function roundAround(masses: readonly MassToWeigh[], chosen: readonly Scale[], rest: number, totalGrams: number): number[] {
  let others = 0;
  let places = decimalPlaces(totalGrams);
  const placesOf = decimalsOfScales(chosen);
  const grams = masses.map(({ massGrams }, index) => {
    if (index === rest) return 0;
    const scale = chosen[index] as Scale;
    const scalePlaces = placesOf.get(scale) ?? 0;
    const rounded = roundToMultiple(massGrams, scale.readabilityGrams, scalePlaces);
    others += rounded;
    places = Math.max(places, scalePlaces);
    return rounded;
  });
  grams[rest] = Math.max(0, toDecimals(totalGrams - others, places));
  return grams;
}

/** Decimals each scale shows, worked out once. */
function decimalsOfScales(chosen: readonly Scale[]): ReadonlyMap<Scale, number> {
  return new Map([...new Set(chosen)].map((scale) => [scale, decimalPlaces(scale.readabilityGrams)]));
}

function roundByRemainder(masses: readonly MassToWeigh[], chosen: readonly Scale[], totalGrams: number): number[] {
  const steps = chosen.map((scale) => scale.readabilityGrams);
  const places = Math.max(decimalPlaces(totalGrams), ...decimalsOfScales(chosen).values());
  const grams = masses.map(({ massGrams }, index) => floorToMultiple(massGrams, steps[index] as number));
  const raised = new Set<number>();
  let left = toDecimals(totalGrams - grams.reduce((sum, mass) => sum + mass, 0), places);
  const remainder = (index: number) => ((masses[index] as MassToWeigh).massGrams - (grams[index] as number)) / (steps[index] as number);
  const byRemainder = grams
    .map((_, index) => ({ index, step: steps[index] as number, remainder: remainder(index) }))
    .filter((line) => line.remainder > 1e-9)
    .sort((a, b) => b.step - a.step || b.remainder - a.remainder || a.index - b.index);
  for (const { index, step } of byRemainder) {
    if (left < step * (1 - 1e-9)) continue;
    grams[index] = toDecimals((grams[index] as number) + step, places);
    left = toDecimals(left - step, places);
    raised.add(index);
  }
  if (left > 0 && grams.length > 0) {
    const heaviest = heaviestOf(masses, (index) => !raised.has(index)) ?? heaviestOf(masses, () => true);
    if (heaviest !== undefined) grams[heaviest] = toDecimals((grams[heaviest] as number) + left, places);
  }
  return grams;
}

function heaviestOf(masses: readonly MassToWeigh[], allowed: (index: number) => boolean): number | undefined {
  let heaviest: number | undefined;
  masses.forEach(({ massGrams }, index) => {
    if (!allowed(index)) return;
    if (heaviest === undefined || massGrams > (masses[heaviest] as MassToWeigh).massGrams) heaviest = index;
  });
  return heaviest;
}
