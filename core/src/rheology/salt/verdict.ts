import { wishedRange, type Outlook } from "./outlook.ts";
import { missOf, restsOf, type Rest, type Thickening } from "./plausibleCurves.ts";

export type ThickeningState = "add" | "in-target" | "stop" | "unreachable";

const CERTAIN_ENOUGH = 0.96;
/** The same where the last reading says so itself, this near. */
const LIKELY_ENOUGH = 0.8;
const READS_ON_TARGET = 0.05;
/** From here on another reading tells more than another gram, as a part of the target. */
const REREAD_FROM = 0.9;
const MOST_REREADS = 6;
const LIKELY = 0.5;
/** Gain below which a step has told that salt is done. */
const LEAST_GAIN = 0.1;
/** A fall that is no noise of two readings. */
const CLEAR_LOSS = 0.3;
/** Little hope: the target is out of reach on nine of ten plausible curves. */
const LITTLE_HOPE = 0.1;
/** A base that has not answered so far gets no more than so many additions, or so much salt in all, % w/w. */
const MOST_IN_VAIN = { additions: 5, saltPercent: 2.3, hope: 0.6 };
/** A gain over the first reading that is an answer. */
const ANSWERED = 1.3;
/** An addition with a higher chance of passing the peak, or a last word, is worth another reading first. */
const RISKY = 0.015;
const MOST_DOUBTS = 2;
/** Readings that lie so many spreads from all that is plausible fit nothing. */
export const NO_FIT = 3;
/** No other reading would bring back such a hope. */
const NO_HOPE = 0.05;
/** Chance of standing at the top that lets a step without gain speak. */
const NEAR_TOP = 0.1;
/** A step below it may gain little because it was small, salt in % w/w. */
const TELLING_PERCENT = 0.1;

/** Why nothing goes in now. */
export type HoldReason = "lost" | "no-gain" | "too-thick" | "pastPeak" | "reread" | "doubt" | "no-fit" | "measure" | "weak-brine";

export interface Verdict {
  readonly state: ThickeningState;
  readonly reason: HoldReason | null;
}

/** Whether to add, to read, or to leave it. */
export function verdictOf(thickening: Thickening, outlook: Outlook): Verdict {
  const rests = restsOf(thickening.additions);
  const last = rests.at(-1);
  if (last === undefined) {
    return thickening.jars.length === 0 ? { state: "add", reason: "measure" } : onward(outlook, rests);
  }
  if (last.readings.length === 1 && missOf(last, outlook.nowMiddle) > NO_FIT) return { state: "add", reason: "no-fit" };
  const said = last.gauge === "word" ? byWord(thickening, outlook, last) : byNumber(thickening, outlook, rests);
  if (said !== null) return said;
  const next = onward(outlook, rests);
  const isLastWord = next.state !== "add" && next.reason !== "weak-brine" && outlook.reachable > NO_HOPE;
  const isDoubtful = isLastWord || (next.state === "add" && outlook.peakChance(outlook.grams) > RISKY);
  if (last.gauge !== "word" && isDoubtful && last.readings.length <= MOST_DOUBTS) return { state: "add", reason: "doubt" };
  return next;
}

/** A word is the wanted one, or a thicker one, or says nothing yet. */
function byWord(thickening: Thickening, outlook: Outlook, { readings }: Rest): Verdict | null {
  const { low, high } = wishedRange(thickening);
  const read = readings.at(-1)!;
  if (read >= high) return { state: "stop", reason: "too-thick" };
  return read >= low && outlook.nowOnTarget >= LIKELY ? { state: "in-target", reason: null } : null;
}

function byNumber(thickening: Thickening, outlook: Outlook, rests: readonly Rest[]): Verdict | null {
  const { low, aim, high } = wishedRange(thickening);
  const last = rests.at(-1)!;
  const reads = Math.abs(last.readings.at(-1)! / aim - 1) <= READS_ON_TARGET;
  if (outlook.nowOnTarget >= (reads ? LIKELY_ENOUGH : CERTAIN_ENOUGH)) return { state: "in-target", reason: null };
  if (outlook.nowMiddle >= Math.max(low, aim * REREAD_FROM) && outlook.nowMiddle <= high) {
    if (last.readings.length <= MOST_REREADS) return { state: "add", reason: "reread" };
    if (outlook.nowMiddle >= aim) return { state: "in-target", reason: null };
  }
  if (outlook.nowMiddle > aim) return { state: "stop", reason: "too-thick" };
  const step = lastStep(thickening, rests);
  if (step !== null && step.gain < 1 - CLEAR_LOSS) return { state: "stop", reason: "lost" };
  // At the foot of a salt curve the first grams do nothing yet: a step without gain tells once the base has answered.
  const toldLittle = step !== null && step.gain < 1 + LEAST_GAIN && step.saltPercent >= TELLING_PERCENT;
  if (toldLittle && hasAnswered(rests) && outlook.nearTop >= NEAR_TOP) return { state: "stop", reason: step.gain < 1 ? "lost" : "no-gain" };
  return outlook.past >= LIKELY ? { state: "stop", reason: "lost" } : null;
}

/** What the last addition did: thickness after it as a part of that before, and the salt it brought, % w/w; null for none. */
function lastStep(
  { batchGrams, strengthPercent }: Thickening,
  rests: readonly Rest[],
): { readonly gain: number; readonly saltPercent: number } | null {
  const [before, now] = rests.slice(-2);
  if (before === undefined || now === undefined) return null;
  return { gain: meanOf(now) / meanOf(before), saltPercent: ((now.gramsTotal - before.gramsTotal) * strengthPercent) / batchGrams };
}

function onward(outlook: Outlook, rests: readonly Rest[]): Verdict {
  if (outlook.isWeakBrine) return { state: "stop", reason: "weak-brine" };
  const inVain = rests.length - 1 >= MOST_IN_VAIN.additions || outlook.saltNow >= MOST_IN_VAIN.saltPercent;
  if (outlook.reachable <= LITTLE_HOPE || (inVain && outlook.reachable < MOST_IN_VAIN.hope && !hasAnswered(rests))) {
    return { state: "unreachable", reason: null };
  }
  if (outlook.grams > 0) return { state: "add", reason: null };
  return { state: "stop", reason: "pastPeak" };
}

function hasAnswered(rests: readonly Rest[]): boolean {
  const [first, last] = [rests[0], rests.at(-1)];
  if (first === undefined || last === undefined) return true;
  return last.gauge === "word" ? last.readings.at(-1) !== first.readings.at(-1) : meanOf(last) >= meanOf(first) * ANSWERED;
}

const meanOf = ({ readings }: Rest): number => readings.reduce((sum, one) => sum + one, 0) / readings.length;
