import type { Outlook } from "./outlook.ts";
import { ON_TARGET, type Thickening } from "./plausibleCurves.ts";

export type ThickeningState = "add" | "in-target" | "stop" | "unreachable";

const CERTAIN_ENOUGH = 0.96;
/** The same where the last reading says so itself, this near. */
const LIKELY_ENOUGH = 0.8;
const READS_ON_TARGET = 0.05;
/** From here on another reading tells more than another gram, as a part of the target. */
const REREAD_FROM = 0.9;
const MOST_REREADS = 6;

/** Why nothing goes in now. */
export type HoldReason = "lost" | "no-gain" | "too-thick" | "pastPeak" | "reread" | "measure" | "weak-brine";

export interface Verdict {
  readonly state: ThickeningState;
  readonly reason: HoldReason | null;
}

/** Gain below which a step has told that salt is done. */
const LEAST_GAIN = 0.1;
/** A fall that is no noise of two readings. */
const CLEAR_LOSS = 0.3;
/** Chance of standing at the top that lets a step without gain speak. */
const NEAR_TOP = 0.1;
const HARDLY_EVER = 0.05;
/** An addition too small to move anything, % of the batch. */
const LEAST_ADDITION_PERCENT = 0.005;

/** Whether to add, to read, or to leave it. */
export function verdictOf({ jars, additions, target, batchGrams }: Thickening, outlook: Outlook): Verdict {
  const [before, last] = restMeans(additions).slice(-2);
  const hasReading = additions.length > 0;
  if (!hasReading && jars.length === 0) return { state: "add", reason: "measure" };
  const isNear = Math.abs(outlook.nowMiddle / target - 1) <= ON_TARGET;
  const reads = Math.abs((additions.at(-1)?.viscosity ?? 0) / target - 1) <= READS_ON_TARGET;
  if (hasReading && outlook.nowOnTarget >= (reads ? LIKELY_ENOUGH : CERTAIN_ENOUGH)) return { state: "in-target", reason: null };
  if (hasReading && isNear && outlook.nowMiddle >= target * REREAD_FROM) {
    if (trailingRereads(additions) < MOST_REREADS) return { state: "add", reason: "reread" };
    if (outlook.nowMiddle >= target) return { state: "in-target", reason: null };
  }
  if (hasReading && outlook.nowMiddle > target) return { state: "stop", reason: "too-thick" };
  if (before !== undefined && last !== undefined) {
    if (last < before * (1 - CLEAR_LOSS)) return { state: "stop", reason: "lost" };
    // At the foot of a salt curve the first grams do nothing yet, and readings scatter: a step without gain tells near the top.
    const gainedLittle = last < before * (1 + LEAST_GAIN);
    if (gainedLittle && outlook.nearTop >= NEAR_TOP) return { state: "stop", reason: last < before ? "lost" : "no-gain" };
  }
  if (outlook.reachable <= HARDLY_EVER) return { state: "unreachable", reason: null };
  if (!Number.isFinite(outlook.grams)) return { state: "stop", reason: "weak-brine" };
  if (outlook.grams < (batchGrams * LEAST_ADDITION_PERCENT) / 100) return { state: "stop", reason: "pastPeak" };
  return { state: "add", reason: null };
}

/** Thickness after each rest: what one total was read as, again and again, by its mean. */
function restMeans(additions: Thickening["additions"]): readonly number[] {
  const rests: { gramsTotal: number; readings: number[] }[] = [];
  for (const { gramsTotal, viscosity } of additions) {
    const rest = rests.at(-1);
    if (rest?.gramsTotal === gramsTotal) rest.readings.push(viscosity);
    else rests.push({ gramsTotal, readings: [viscosity] });
  }
  return rests.map(({ readings }) => readings.reduce((sum, one) => sum + one, 0) / readings.length);
}

/** How often the last addition has been read again. */
function trailingRereads(additions: Thickening["additions"]): number {
  const total = additions.at(-1)?.gramsTotal;
  let count = 0;
  while (additions.at(-2 - count)?.gramsTotal === total && count < additions.length - 1) count += 1;
  return count;
}
