import { quantileOfSorted } from "../../numerics/quantiles.ts";
import { gramsToSalt } from "./saltCurve.ts";

/** What an addition does on each plausible salt curve, g: brings it to the target, past the peak, beyond what is wanted. */
export interface Ways {
  /** Infinite where the curve never has the target short of its peak. */
  readonly toAim: Float64Array;
  readonly toPeak: Float64Array;
  readonly toTooThick: Float64Array;
}

interface Beaker {
  readonly massGrams: number;
  readonly strengthPercent: number;
  /** Whole salt in it, % w/w. */
  readonly saltNow: number;
  /** The thickness is told in words. */
  readonly isByWord: boolean;
}

/** A batch carried past its peak weighs as much as so many brought to their thickness. */
const PEAK_COST = 2.2;
/** The same for one that ends too thick, by a number and by a word: a word is wide, and the next one shows. */
const TOO_THICK_COST = { number: 10, word: 2.5 };
/** What stirring, resting and reading once more costs, likewise. */
const ADDITION_COST = 0.005;
/** Chance of passing the peak that is taken without weighing it up. */
const PEAK_RISK = 0.002;
/** An addition that tells something, % of the batch as dry salt. */
const TELLING_PERCENT = 0.12;
/** Most salt in all while it is more likely than not that the target is out of reach, % w/w. */
const MOST_SALT_PERCENT = 2.4;
const LIKELY = 0.5;
/** Additions that are weighed up, % of the batch as dry salt: each larger than the last by a factor. */
const TRIED = { from: 0.01, to: 2.5, factor: 1.05 };

/**
 * The addition that is worth most, g of the brine: what it brings nearer to the target, by the share of the way on every
 * curve that reaches it, less what it may spoil. Where the one with a chance of 0.2 % to pass the peak is large enough to
 * tell something, no more than that. 0 where none is worth its risk.
 */
export function worthwhileGrams(ways: Ways, beaker: Beaker): number {
  const { massGrams, strengthPercent } = beaker;
  const hope = ways.toAim.reduce((sum, grams) => sum + Number(grams < Infinity), 0) / ways.toAim.length;
  const most = hope < LIKELY ? gramsToSalt(massGrams, { from: beaker.saltNow, to: MOST_SALT_PERCENT, strengthPercent }) : Infinity;
  const inBrine = (percent: number): number => (massGrams * percent) / strengthPercent;
  let best = { grams: 0, worth: worthOf(0, ways, beaker) + ADDITION_COST };
  for (let percent = TRIED.from; percent < TRIED.to; percent *= TRIED.factor) {
    const grams = inBrine(percent);
    if (grams > most) break;
    const worth = worthOf(grams, ways, beaker);
    if (worth > best.worth) best = { grams, worth };
  }
  const certain = quantileOfSorted(ways.toPeak.toSorted(), PEAK_RISK);
  return certain >= inBrine(TELLING_PERCENT) ? Math.min(best.grams, certain) : best.grams;
}

function worthOf(grams: number, { toAim, toPeak, toTooThick }: Ways, { isByWord }: Beaker): number {
  const tooThickCost = isByWord ? TOO_THICK_COST.word : TOO_THICK_COST.number;
  let sum = 0;
  for (let k = 0; k < toAim.length; k += 1) {
    const to = toAim[k]!;
    if (to > 0 && to < Infinity) sum += Math.min(1, grams / to);
    if (grams > toPeak[k]!) sum -= PEAK_COST;
    if (grams > toTooThick[k]!) sum -= tooThickCost;
  }
  return sum / toAim.length;
}
