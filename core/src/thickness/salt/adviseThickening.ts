import { drawEnsemble, type Ensemble } from "../../numerics/ensemble.ts";
import { median, quantileOfSorted } from "../../numerics/quantiles.ts";
import { randomFrom } from "../../numerics/random.ts";
import { safeMaxPercent, saltFor, viscosityAt } from "./hill.ts";
import { hillModel, ON_TARGET, type HillModel, type Thickening } from "./plausibleHills.ts";
import { thickeningText } from "./thickeningText.ts";

export type ThickeningState = "add" | "in-target" | "stop" | "unreachable";

export interface AdditionAdvice {
  /** The next addition, g of the brine or dry salt. */
  readonly grams: number;
  /** Thickness after it; 90 % of the plausible hills lie between low and high. */
  readonly expected: number;
  readonly low: number;
  readonly high: number;
  /** Chance that it passes the peak, 0 to 1. */
  readonly peakChance: number;
}

export interface ThickeningAdvice {
  readonly state: ThickeningState;
  readonly recommend: AdditionAdvice;
  /** Whole salt now and after the addition, % w/w. */
  readonly saltPercent: number;
  readonly text: string;
}

/** Chance of passing the peak that one addition may have. */
const PEAK_RISK = 0.002;
const CERTAIN_ENOUGH = 0.96;
/** The same where the last reading says so itself, this near. */
const LIKELY_ENOUGH = 0.8;
const READS_ON_TARGET = 0.05;
/** From here on another reading tells more than another gram, as a part of the target. */
const REREAD_FROM = 0.9;
const MOST_REREADS = 6;
/**
 * Chance of ending more than that too thick that an addition may have: little while there are additions to spare, more
 * once the batch has been stirred and rested four times.
 */
const TOO_THICK_RISKS = [0.02, 0.03, 0.05, 0.1];
const LATE_TOO_THICK_RISK = 0.2;
const MEMBERS = 2000;
const SEED = 20_25;

/**
 * The next addition of salt, from an ensemble of plausible hills narrowed by the jars and the readings: the smaller of
 * the way to the target by the middle of the ensemble and the addition whose chance of passing the peak is 0.2 %, and
 * never beyond the middle of s₀ − w ⁄ 3. Deterministic for a seed.
 */
export function adviseThickening(thickening: Thickening, { seed = SEED }: { readonly seed?: number } = {}): ThickeningAdvice {
  const model = hillModel(thickening);
  const ensemble = drawEnsemble(model.problem, { members: MEMBERS, seed });
  const outlook = outlookOf(thickening, model, ensemble, seed);
  const verdict = verdictOf(thickening, outlook);
  const grams = verdict.state === "add" && verdict.reason === null ? outlook.grams : 0;
  const recommend = { grams, ...outlook.after(grams), peakChance: outlook.peakChance(grams) };
  return {
    state: verdict.state,
    recommend,
    saltPercent: outlook.saltNow,
    text: thickeningText(thickening, { ...verdict, recommend, highest: outlook.highestSafe }),
  };
}

interface Outlook {
  readonly saltNow: number;
  /** Advised addition, g. */
  readonly grams: number;
  readonly nowOnTarget: number;
  readonly nowMiddle: number;
  /** Share of the hills whose safe part reaches the target. */
  readonly reachable: number;
  readonly highestSafe: number;
  /** Share of the hills on whose safe edge, or beyond, the batch stands. */
  readonly nearTop: number;
  after(grams: number): { readonly expected: number; readonly low: number; readonly high: number };
  peakChance(grams: number): number;
}

const NEXT_ADDITION_ERROR = 0.02;

function outlookOf(
  { strengthPercent, target, additions }: Thickening,
  model: HillModel,
  { members, coordinates, coordinatesEach }: Ensemble,
  seed: number,
): Outlook {
  const random = randomFrom(seed);
  const made = new Set(additions.map(({ gramsTotal }) => gramsTotal)).size - 1;
  const tooThickRisk = TOO_THICK_RISKS[Math.max(0, made)] ?? LATE_TOO_THICK_RISK;
  const factors = Float64Array.from({ length: members }, () => 1 + NEXT_ADDITION_ERROR * random.normal());
  const hills = Array.from({ length: members }, (_, k) => model.hillOf(coordinates, k * coordinatesEach));
  const salts = Float64Array.from({ length: members }, (_, k) => model.saltNow(coordinates, k * coordinatesEach));
  /** Grams that bring the batch from one salt to another. */
  const gramsTo = (from: number, to: number): number =>
    to >= strengthPercent ? Infinity : (model.massGrams * (to - from)) / (strengthPercent - to);
  const saltAfter = (from: number, grams: number): number => (model.massGrams * from + grams * strengthPercent) / (model.massGrams + grams);
  const toTarget = hills.map((hill, k) => {
    const salt = saltFor(hill, target);
    return salt === null ? (viscosityAt(hill, salts[k]!) >= target ? 0 : Infinity) : gramsTo(salts[k]!, salt);
  });
  const toTooThick = hills.map((hill, k) => {
    const salt = saltFor(hill, target * (1 + ON_TARGET));
    return salt === null ? Infinity : Math.max(0, gramsTo(salts[k]!, salt) / factors[k]!);
  });
  const toPeak = hills.map((hill, k) => gramsTo(salts[k]!, hill.peakSaltPercent) / factors[k]!);
  const toSafe = hills.map((hill, k) => gramsTo(salts[k]!, safeMaxPercent(hill)));
  const now = Float64Array.from(hills, (hill, k) => viscosityAt(hill, salts[k]!));
  const share = (isTrue: (k: number) => boolean): number => hills.filter((_, k) => isTrue(k)).length / members;
  const atSafe = hills.map((hill) => viscosityAt(hill, safeMaxPercent(hill)));
  return {
    saltNow: median(salts),
    grams: Math.max(
      0,
      Math.min(
        median(toTarget),
        quantileOfSorted(Float64Array.from(toPeak).sort(), PEAK_RISK),
        median(toSafe),
        quantileOfSorted(Float64Array.from(toTooThick).sort(), tooThickRisk),
      ),
    ),
    nowOnTarget: share((k) => Math.abs(now[k]! / target - 1) <= ON_TARGET),
    nowMiddle: median(now),
    reachable: share((k) => atSafe[k]! >= target * (1 - ON_TARGET)),
    highestSafe: median(atSafe),
    nearTop: share((k) => toSafe[k]! <= 0),
    after(grams) {
      const sorted = Float64Array.from(hills, (hill, k) => viscosityAt(hill, saltAfter(salts[k]!, grams * factors[k]!))).sort();
      return { expected: quantileOfSorted(sorted, 0.5), low: quantileOfSorted(sorted, 0.05), high: quantileOfSorted(sorted, 0.95) };
    },
    peakChance: (grams) => share((k) => grams > toPeak[k]!),
  };
}

/** Why nothing goes in now. */
export type HoldReason = "lost" | "no-gain" | "too-thick" | "cliff" | "reread" | "measure" | "weak-brine";

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

function verdictOf({ jars, additions, target, batchGrams }: Thickening, outlook: Outlook): Verdict {
  const [before, last] = additions.slice(-2).map(({ viscosity }) => viscosity);
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
    // At the foot of a hill the first grams do nothing yet, and readings scatter: a step without gain tells near the top.
    const gainedLittle = last < before * (1 + LEAST_GAIN);
    if (gainedLittle && outlook.nearTop >= NEAR_TOP) return { state: "stop", reason: last < before ? "lost" : "no-gain" };
  }
  if (outlook.reachable <= HARDLY_EVER) return { state: "unreachable", reason: null };
  if (!Number.isFinite(outlook.grams)) return { state: "stop", reason: "weak-brine" };
  if (outlook.grams < (batchGrams * LEAST_ADDITION_PERCENT) / 100) return { state: "stop", reason: "cliff" };
  return { state: "add", reason: null };
}

/** How often the last addition has been read again. */
function trailingRereads(additions: Thickening["additions"]): number {
  const total = additions.at(-1)?.gramsTotal;
  let count = 0;
  while (additions.at(-2 - count)?.gramsTotal === total && count < additions.length - 1) count += 1;
  return count;
}
