import type { Agent } from "../equivalents.ts";
import { STRIP_SIGMA } from "./bufferCurve.ts";
import type { Station, Titration } from "./bookkeeping.ts";

export type TitrationState = "dose" | "reread" | "in-target" | "overshot" | "needs-other-agent";

/**
 * What stands against the readings: a dose moved the pH the way it cannot; they fit no plausible batch; a strip is too
 * coarse for the window.
 */
export type ReadingFault = "wrong-way" | "no-fit" | "coarse" | null;

export interface Situation {
  readonly state: TitrationState;
  readonly use: "agent" | "counterAgent";
  /** Whether a dose is advised at all. */
  readonly doses: boolean;
  /** Which kind the batch needs; null inside the window. */
  readonly needs: Agent["kind"] | null;
  readonly fault: ReadingFault;
}

/** Where the plausible batches are after the last reading. */
export interface Whereabouts {
  /** Middle of them. */
  readonly ph: number;
  /** Share of them inside the window. */
  readonly insideChance: number;
  /** Share of them outside it by more than the instrument is good for. */
  readonly outsideChance: number;
  /** How far the last reading lies from what they expect, in its spreads. */
  readonly misfit: number;
}

/** How far outside counts: a meter is good for a tenth, a strip for less than half a step of its colours, pH. */
export const OUTSIDE_BY = { meter: 0.1, strip: 0.4 } as const;

/** `in-target` needs this little doubt, and this much hope. */
const HARDLY_OUTSIDE = 0.01;
const RATHER_INSIDE = 0.5;
/** The same where nothing at hand could bring it nearer. */
const HARDLY_OUTSIDE_AT_EDGE = 0.05;
/** After so many readings at one dose another one tells little. */
const MOST_REREADS = 2;
/** A reading that goes the wrong way by more than this many of its uncertainties is no noise. */
const NO_NOISE = 4;
const LEAST_WRONG_PH = 0.1;
/** Readings that lie so many spreads from all that is plausible fit nothing. */
export const NO_FIT = 3;
/** Never said to be inside while the reading lies outside by more than so many of its spreads. */
const CLEARLY_OUTSIDE = 3;
/** A strip within so much of a window it cannot resolve has told all it can, pH. */
const STRIP_REACH = 0.5;

/** What becomes of a dose that cannot be given: nothing goes in without passing the window. */
export function withoutDose(situation: Situation, reading: Station, target: Titration["target"], outsideChance: number): Situation {
  const readsOutside = Math.max(target.low - reading.ph, reading.ph - target.high) > CLEARLY_OUTSIDE * reading.sigma;
  const isGoodEnough = !readsOutside && outsideChance <= HARDLY_OUTSIDE_AT_EDGE;
  return { ...situation, state: isGoodEnough ? "in-target" : "reread", doses: false };
}

/** What to do, from where the batch most likely is. */
export function situationOf(
  { agent, counterAgent, target }: Titration,
  { stations, pooled }: { readonly stations: readonly Station[]; readonly pooled: readonly Station[] },
  { ph, insideChance, outsideChance, misfit }: Whereabouts,
): Situation {
  const last = stations.at(-1)!;
  const reading = pooled.at(-1)!;
  const middle = (target.low + target.high) / 2;
  const needs = ph > target.high ? "acid" : ph < target.low ? "base" : null;
  const towards: Agent["kind"] = needs ?? (ph > middle ? "acid" : "base");
  const use = towards === agent.kind ? "agent" : "counterAgent";
  const hasIt = use === "agent" || counterAgent?.kind === towards;
  const whole = { use, needs, fault: null } as const;
  const rereads = trailingRepeats(stations);
  if (wentWrong(stations, agent)) return { ...whole, state: "reread", doses: false, fault: "wrong-way" };
  // Read again and the same again, it stands.
  if (misfit > NO_FIT && rereads === 0) return { ...whole, state: "reread", doses: false, fault: "no-fit" };
  const readsInside = reading.ph >= target.low && reading.ph <= target.high;
  if (readsInside && outsideChance <= HARDLY_OUTSIDE && insideChance >= RATHER_INSIDE)
    return { ...whole, state: "in-target", doses: false };
  const isStrip = reading.sigma >= STRIP_SIGMA;
  const isNear = Math.abs(ph - middle) <= Math.max(STRIP_REACH, (target.high - target.low) / 2);
  if (isStrip && isNear && wasDosed(last)) return { ...whole, state: "reread", doses: false, fault: "coarse" };
  if (needs === null) {
    if (rereads < MOST_REREADS && !(isStrip && rereads > 0)) return { ...whole, state: "reread", doses: false };
    if (hasIt) return { ...whole, state: "dose", doses: true };
    return withoutDose({ ...whole, state: "reread", doses: false }, reading, target, outsideChance);
  }
  if (use === "agent") return { ...whole, state: "dose", doses: true };
  return { ...whole, state: wasDosed(last) ? "overshot" : "needs-other-agent", doses: hasIt };
}

function wasDosed({ agentTotal, counterTotal }: Station): boolean {
  return agentTotal > 0 || counterTotal > 0;
}

function trailingRepeats(stations: readonly Station[]): number {
  let count = 0;
  while (count < stations.length - 1 && stations[stations.length - 1 - count]!.isRepeat) count += 1;
  return count;
}

/** The last dose moved the pH the way it cannot. */
function wentWrong(stations: readonly Station[], agent: Agent): boolean {
  const last = stations.at(-1)!;
  const before = stations.at(-2);
  if (before === undefined || last.agentStep > 0 === last.counterStep > 0) return false;
  const goesDown = (agent.kind === "acid") === last.agentStep > 0;
  const wrong = (goesDown ? 1 : -1) * (last.ph - before.ph);
  return wrong > Math.max(LEAST_WRONG_PH, NO_NOISE * Math.hypot(last.sigma, before.sigma));
}
