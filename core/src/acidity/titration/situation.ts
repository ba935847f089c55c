import type { Agent } from "../equivalents.ts";
import type { Station, Titration } from "./bookkeeping.ts";

export type TitrationState = "dose" | "reread" | "in-target" | "overshot" | "needs-other-agent";

/** Why the readings cannot be right as they stand. */
export type ReadingFault = "wrong-way" | null;

export interface Situation {
  readonly state: TitrationState;
  readonly use: "agent" | "counterAgent";
  /** Whether a dose is advised at all. */
  readonly doses: boolean;
  /** Which kind the batch needs; null inside the window. */
  readonly needs: Agent["kind"] | null;
  readonly fault: ReadingFault;
}

/** `in-target` needs this much certainty. */
const CERTAIN_ENOUGH = 0.975;
/** After so many readings at one dose another one tells little. */
const MOST_REREADS = 2;
/** A reading that goes the wrong way by more than this many of its uncertainties is no noise. */
const NO_NOISE = 4;
const LEAST_WRONG_PH = 0.1;

/** What to do, from where the batch most likely is. */
export function situationOf(
  { agent, counterAgent, target }: Titration,
  stations: readonly Station[],
  { ph, insideChance }: { readonly ph: number; readonly insideChance: number },
): Situation {
  const last = stations.at(-1)!;
  const middle = (target.low + target.high) / 2;
  const needs = ph > target.high ? "acid" : ph < target.low ? "base" : null;
  const towards: Agent["kind"] = needs ?? (ph > middle ? "acid" : "base");
  const use = towards === agent.kind ? "agent" : "counterAgent";
  const hasIt = use === "agent" || counterAgent?.kind === towards;
  const whole = { use, needs, fault: null } as const;
  if (wentWrong(stations, agent)) return { ...whole, state: "reread", doses: false, fault: "wrong-way" };
  if (insideChance >= CERTAIN_ENOUGH) return { ...whole, state: "in-target", doses: false };
  if (needs === null) {
    const rereads = trailingRepeats(stations);
    return rereads < MOST_REREADS || !hasIt ? { ...whole, state: "reread", doses: false } : { ...whole, state: "dose", doses: true };
  }
  if (use === "agent") return { ...whole, state: "dose", doses: true };
  const wasDosed = last.agentTotal > 0;
  return { ...whole, state: wasDosed ? "overshot" : "needs-other-agent", doses: hasIt };
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
