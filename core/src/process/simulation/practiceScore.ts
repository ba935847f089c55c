import dayjs from "dayjs";
import { ON_TARGET } from "../../rheology/salt/plausibleCurves.ts";
import { safeMaxPercent, viscosityAt } from "../../rheology/salt/saltCurve.ts";
import type { BatchPlan } from "../batch/batchPlan.ts";
import type { BatchEntry } from "../batch/entries.ts";
import { tunedCorridor } from "../tuning/phTuning.ts";
import { aimedThickness } from "../tuning/thicknessTuning.ts";
import type { SimulatedBatch } from "./simulatedBatch.ts";
import { truthAfter } from "./truth.ts";

/** One thing that is judged. */
export interface ScorePart {
  readonly what: "ph" | "overshoot" | "doses" | "thickness" | "pastPeak" | "time";
  readonly points: number;
  readonly of: number;
  /** Whether anything was done about it; what nobody tried earns nothing, however well it stands. */
  readonly isTried: boolean;
  /** What was measured, in the unit of `what`: true pH, pH past the far edge, doses, Pa·s, % salt over the safe part, minutes. */
  readonly measured: number;
}

export interface PracticeScore {
  /** Of 100. */
  readonly points: number;
  readonly parts: readonly ScorePart[];
  /** What was wanted, or as thick as this base can safely be brought where that is less. */
  readonly wantedPascalSeconds: number;
  readonly finalPh: number;
  readonly finalPascalSeconds: number;
  readonly doses: number;
  readonly additions: number;
  readonly minutes: number;
  /** How often something was read before its rest was over. */
  readonly earlyReadings: number;
}

const WEIGHTS = { ph: 30, overshoot: 20, doses: 10, thickness: 20, pastPeak: 10, time: 10 } as const;
/** No points so far past the far edge, pH. */
const WORST_OVERSHOOT_PH = 0.5;
/** Doses that cost nothing, and what each further one costs. */
const FREE_DOSES = 3;
const PART_PER_DOSE = 0.2;
/** Past the safe part by so much salt there are no points, %. */
const WORST_SALT_PERCENT = 0.3;
const DOSE_RESTS_MINUTES = 2;
const SALT_RESTS_MINUTES = 8;
/** With what must be waited and ten minutes of handwork there are all points, with three times that none. */
const HANDWORK_MINUTES = 10;
const WORST_TIMES = 3;
const MINUTE_MILLISECONDS = 60_000;

/**
 * Judges a practice batch against what was hidden in it: whether pH and thickness are truly where they belong, how far
 * the pH ever went past its far edge, how many doses it took, whether the salt stayed below the peak, and how long it
 * took beside what must be waited. Care that nothing was dosed with earns nothing. Parts that the formula has no step for are left out and the rest counts to 100.
 */
export function practiceScore(hidden: SimulatedBatch, plan: BatchPlan, standing: readonly BatchEntry[]): PracticeScore {
  const corridor = tunedCorridor(plan);
  // Of a base that cannot be brought there, as thick as it can be is what was wanted.
  const target = Math.min(aimedThickness(plan), viscosityAt(hidden.saltCurve, safeMaxPercent(hidden.saltCurve)));
  const tunes = new Set(plan.steps.map((step) => step.tunes));
  const states = standing.map((_, at) => truthAfter(hidden, plan, standing.slice(0, at + 1), null));
  const end = states.at(-1) ?? truthAfter(hidden, plan, [], null);
  const isFromAbove = hidden.startPh > corridor.high;
  const overshootPh = standing.reduce((most, { kind }, at) => {
    if (kind !== "dosed") return most;
    const ph = states[at]!.ph;
    return Math.max(most, isFromAbove ? corridor.low - ph : ph - corridor.high);
  }, 0);
  const doses = standing.filter(({ kind }) => kind === "dosed").length;
  const additions = standing.filter(({ kind }) => kind === "salted").length;
  const mostSaltPercent = standing.reduce((most, { kind }, at) => (kind === "salted" ? Math.max(most, states[at]!.saltPercent) : most), 0);
  const overSaltPercent = Math.max(0, mostSaltPercent - safeMaxPercent(hidden.saltCurve));
  const minutes = tuningMinutes(standing);
  const mustMinutes =
    HANDWORK_MINUTES + Math.max(1, Math.min(doses, FREE_DOSES)) * DOSE_RESTS_MINUTES + Math.min(additions, FREE_DOSES) * SALT_RESTS_MINUTES;
  const [ph, thickness] = [inside(end.ph, corridor), nearness(end.pascalSeconds / target)];
  // Who finds it right and leaves it alone has done what there was to do.
  const [isPhTried, isSaltTried] = [doses > 0 || ph === 1, additions > 0 || thickness === 1];
  const isAllTried = (isPhTried || !tunes.has("ph")) && (isSaltTried || !tunes.has("thickness"));
  const shares: Readonly<Record<ScorePart["what"], readonly [share: number, measured: number, isTried: boolean]>> = {
    ph: [ph, end.ph, true],
    overshoot: [1 - overshootPh / WORST_OVERSHOOT_PH, overshootPh, isPhTried],
    doses: [1 - Math.max(0, doses - FREE_DOSES) * PART_PER_DOSE, doses, isPhTried],
    thickness: [thickness, end.pascalSeconds, true],
    pastPeak: [1 - overSaltPercent / WORST_SALT_PERCENT, overSaltPercent, isSaltTried],
    time: [(WORST_TIMES - minutes / mustMinutes) / (WORST_TIMES - 1), minutes, isAllTried],
  };
  const judged = (Object.keys(WEIGHTS) as ScorePart["what"][]).filter((what) =>
    what === "thickness" || what === "pastPeak" ? tunes.has("thickness") : what === "time" || tunes.has("ph"),
  );
  const whole = judged.reduce((sum, what) => sum + WEIGHTS[what], 0);
  const parts = judged.map((what): ScorePart => {
    const [share, measured, isTried] = shares[what];
    const of = (100 * WEIGHTS[what]) / whole;
    return { what, of, points: isTried ? of * Math.min(1, Math.max(0, share)) : 0, isTried, measured };
  });
  return {
    points: Math.round(parts.reduce((sum, { points }) => sum + points, 0)),
    parts,
    wantedPascalSeconds: target,
    finalPh: end.ph,
    finalPascalSeconds: end.pascalSeconds,
    doses,
    additions,
    minutes,
    earlyReadings: earlyReadings(standing),
  };
}

/** All inside, none half a pH outside. */
function inside(ph: number, { low, high }: { readonly low: number; readonly high: number }): number {
  return 1 - Math.max(0, low - ph, ph - high) / WORST_OVERSHOOT_PH;
}

/** All within what is called on target, none at twice or half of it. */
function nearness(ratio: number): number {
  const off = Math.abs(Math.log(ratio));
  const free = Math.log(1 + ON_TARGET);
  return off <= free ? 1 : 1 - (off - free) / (Math.log(2) - free);
}

const TUNING = new Set<BatchEntry["kind"]>(["ph-read", "dosed", "thickness-read", "salted"]);

/** Longer than this between two things done at the tuning is a pause or a gum that swells, and is no slowness, min. */
const LONGEST_COUNTED_MINUTES = 60;

/** From the first reading to the last thing done about it, pauses left out, min. */
function tuningMinutes(standing: readonly BatchEntry[]): number {
  const moments = standing.filter(({ kind }) => TUNING.has(kind)).map(({ at }) => dayjs(at).valueOf() / MINUTE_MILLISECONDS);
  return moments.slice(1).reduce((sum, moment, at) => sum + Math.min(LONGEST_COUNTED_MINUTES, moment - moments[at]!), 0);
}

function earlyReadings(standing: readonly BatchEntry[]): number {
  return standing.filter((entry, at) => {
    const kind = entry.kind === "ph-read" ? "dosed" : entry.kind === "thickness-read" ? "salted" : null;
    if (kind === null) return false;
    const before = standing.slice(0, at).findLast((one) => one.kind === kind);
    const rests = kind === "dosed" ? DOSE_RESTS_MINUTES : SALT_RESTS_MINUTES;
    return before !== undefined && dayjs(entry.at).valueOf() - dayjs(before.at).valueOf() < rests * MINUTE_MILLISECONDS * NEARLY;
  }).length;
}

/** A few seconds early is not early. */
const NEARLY = 0.9;
