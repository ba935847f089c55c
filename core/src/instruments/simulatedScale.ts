import { decimalPlaces, roundToMultiple } from "../quantities/decimals.ts";
import { followed, hasSteadied } from "./following.ts";

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
  /** Since when its zero creeps, ms: since the last tare. */
  readonly zeroSince: number;
}

/** How fast a reading follows the load, ms, and when it stands still. */
const PACE = { followsMilliseconds: 160, steadiesMilliseconds: 900 };
/** A zero creeps by so many steps in a minute, up to the most; then it is warm. */
const DRIFT_STEPS_PER_MINUTE = 0.4;
const MOST_DRIFT_STEPS = 3;
const MINUTE_MILLISECONDS = 60_000;

export function simulatedScale(
  scale: { readonly readabilityGrams: number; readonly capacityGrams: number },
  loadGrams: number,
  now = 0,
): SimulatedScale {
  return { ...scale, loadGrams, beforeGrams: loadGrams, tareGrams: loadGrams, changedAt: Number.NEGATIVE_INFINITY, zeroSince: now };
}

/** Something is poured in, or with a minus spooned out again; less than nothing is not on a pan. */
export function poured(scale: SimulatedScale, grams: number, now: number): SimulatedScale {
  return { ...scale, beforeGrams: loadAt(scale, now), loadGrams: Math.max(0, scale.loadGrams + grams), changedAt: now };
}

/** What shows now becomes 0. */
export function tared(scale: SimulatedScale, now: number): SimulatedScale {
  return { ...scale, tareGrams: loadAt(scale, now), zeroSince: now };
}

/**
 * The line of text the scale sends at a moment: it follows a change in about a second, trembles by one step until then,
 * creeps by up to three steps since its last tare, rounds to what it shows, and says "OL" above its capacity.
 * @param tremble -1 to 1, drawn by the caller
 */
export function simulatedLine(scale: SimulatedScale, now: number, tremble: number): string {
  const { readabilityGrams, capacityGrams, tareGrams, changedAt, zeroSince } = scale;
  const load = loadAt(scale, now);
  if (load > capacityGrams) return "OL";
  const isStable = hasSteadied(PACE, now - changedAt);
  const driftSteps = Math.min(MOST_DRIFT_STEPS, (DRIFT_STEPS_PER_MINUTE * Math.max(0, now - zeroSince)) / MINUTE_MILLISECONDS);
  const net = load - tareGrams + (driftSteps + (isStable ? 0 : tremble)) * readabilityGrams;
  const shown = roundToMultiple(net, readabilityGrams);
  return `${isStable ? "S" : "U"} ${(shown === 0 ? 0 : shown).toFixed(decimalPlaces(readabilityGrams))} g`;
}

function loadAt({ loadGrams, beforeGrams, changedAt }: SimulatedScale, now: number): number {
  return followed(PACE, { from: beforeGrams, to: loadGrams, sinceMilliseconds: now - changedAt });
}
