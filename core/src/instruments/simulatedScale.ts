import { decimalPlaces, roundToMultiple } from "../quantities/decimals.ts";

/** A bench scale that is not there: what lies on it, since when, and what was tared away. */
export interface SimulatedScale {
  readonly readabilityGrams: number;
  readonly capacityGrams: number;
  /** All that lies on the pan, g. */
  readonly loadGrams: number;
  /** What lay there before the last change, g; the reading moves from there. */
  readonly beforeGrams: number;
  readonly tareGrams: number;
  /** When the load changed last, ms. */
  readonly changedAt: number;
}

/** How fast a reading follows the load, ms, and when it stands still. */
const FOLLOWS_MILLISECONDS = 160;
const SETTLES_MILLISECONDS = 900;

export function simulatedScale(
  scale: { readonly readabilityGrams: number; readonly capacityGrams: number },
  loadGrams: number,
): SimulatedScale {
  return { ...scale, loadGrams, beforeGrams: loadGrams, tareGrams: loadGrams, changedAt: Number.NEGATIVE_INFINITY };
}

/** Something is poured in, or with a minus spooned out again; less than nothing is not on a pan. */
export function poured(scale: SimulatedScale, grams: number, now: number): SimulatedScale {
  return { ...scale, beforeGrams: followed(scale, now), loadGrams: Math.max(0, scale.loadGrams + grams), changedAt: now };
}

/** What shows now becomes 0. */
export function tared(scale: SimulatedScale, now: number): SimulatedScale {
  return { ...scale, tareGrams: followed(scale, now) };
}

/**
 * The line of text the scale sends at a moment: it follows a change in about a second, trembles by one step until then,
 * rounds to what it shows, and says "OL" above its capacity.
 * @param tremble -1 to 1, drawn by the caller
 */
export function simulatedLine(scale: SimulatedScale, now: number, tremble: number): string {
  const { readabilityGrams, capacityGrams, tareGrams, changedAt } = scale;
  const load = followed(scale, now);
  if (load > capacityGrams) return "OL";
  const isStable = now - changedAt >= SETTLES_MILLISECONDS;
  const net = load - tareGrams + (isStable ? 0 : tremble * readabilityGrams);
  const shown = roundToMultiple(net, readabilityGrams);
  return `${isStable ? "S" : "U"} ${(shown === 0 ? 0 : shown).toFixed(decimalPlaces(readabilityGrams))} g`;
}

function followed({ loadGrams, beforeGrams, changedAt }: SimulatedScale, now: number): number {
  const since = now - changedAt;
  if (since >= SETTLES_MILLISECONDS) return loadGrams;
  return loadGrams + (beforeGrams - loadGrams) * Math.exp(-since / FOLLOWS_MILLISECONDS);
}
