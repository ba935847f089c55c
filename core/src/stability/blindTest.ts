import jstat from "jstat";
import { meanAndSpread } from "../numerics/spread.ts";
import { Refusal } from "../quantities/refusal.ts";

/** Three cups of which one is different, two of which one is preferred, or two that are each given a mark from 1 to 5. */
export const blindKinds = ["triangle", "paired", "rated"] as const;

export type BlindKind = (typeof blindKinds)[number];

/** Which of two washes each cup of a tester holds, in the order of tasting. */
export type Cups = readonly ("A" | "B")[];

const BOTH_WAYS: readonly Cups[] = [
  ["A", "B"],
  ["B", "A"],
];

const ORDERS: Readonly<Record<BlindKind, readonly Cups[]>> = {
  triangle: [
    ["A", "A", "B"],
    ["A", "B", "A"],
    ["B", "A", "A"],
    ["B", "B", "A"],
    ["B", "A", "B"],
    ["A", "B", "B"],
  ],
  paired: BOTH_WAYS,
  rated: BOTH_WAYS,
};

/**
 * The cups of each tester: every order comes as often as every other, as far as the number allows, and which tester gets which
 * is drawn.
 * @param draw a number from 0 to below 1, anew at each call
 */
export function drawCups(kind: BlindKind, testers: number, draw: () => number): readonly Cups[] {
  const drawn: Cups[] = [];
  while (drawn.length < testers) drawn.push(...shuffled(ORDERS[kind], draw));
  return drawn.slice(0, testers);
}

/** A list in an order that is drawn (Fisher and Yates 1938). */
export function shuffled<Item>(items: readonly Item[], draw: () => number): readonly Item[] {
  const all = [...items];
  for (let last = all.length - 1; last > 0; last -= 1) {
    const at = Math.floor(draw() * (last + 1));
    [all[last], all[at]] = [all[at] as Item, all[last] as Item];
  }
  return all;
}

/** The cup of a triangle that holds another wash than both others. */
export function oddCup(cups: Cups): number {
  const count = (of: "A" | "B"): number => cups.filter((cup) => cup === of).length;
  return cups.indexOf(count("A") === 1 ? "A" : "B");
}

export interface BlindResult {
  /** How often chance alone does at least as much, 0 to 1. */
  readonly chance: number;
  /** Less often than one time in twenty. */
  readonly isShown: boolean;
}

/** Tests in which one cup is chosen. */
type ChosenKind = Exclude<BlindKind, "rated">;

const CHANCES: Readonly<Record<ChosenKind, number>> = { triangle: 1 / 3, paired: 1 / 2 };
const USUAL_LEVEL = 0.05;

/**
 * How often chance alone would do as much, exactly by the binomial distribution (Bengtsson and Helm 1946 for the triangle). Of a
 * triangle: that so many or more find the odd cup. Of a pair: that so many or more prefer either of the two. 9 of 12 triangles
 * come by chance 4 times in 1,000; 10 of 12 for one of a pair 39 times.
 * @param successes testers who found the odd cup, or who prefer A
 * @throws Refusal where more succeed than were asked
 */
export function blindResult(kind: ChosenKind, successes: number, testers: number): BlindResult {
  if (!(successes >= 0 && successes <= testers)) {
    throw new Refusal("not-valid", `${successes} of ${testers} testers is no count.`, "Count the answers again.");
  }
  const atLeast = (count: number): number => (count <= 0 ? 1 : 1 - jstat.jStat.binomial.cdf(count - 1, testers, CHANCES[kind]));
  const chance = kind === "triangle" ? atLeast(successes) : Math.min(1, 2 * atLeast(Math.max(successes, testers - successes)));
  return { chance: testers === 0 ? 1 : chance, isShown: testers > 0 && chance < USUAL_LEVEL };
}

/** The marks one tester gave both washes, 1 to 5. */
export interface RatedPair {
  readonly a: number;
  readonly b: number;
}

export interface RatedResult extends BlindResult {
  readonly meanA: number;
  readonly meanB: number;
  /** How far testers lie apart: standard deviation of each, of one tester beside another. */
  readonly spreadA: number;
  readonly spreadB: number;
  /** How much more A gets, and from where to where that lies (19 of 20). */
  readonly difference: { readonly mean: number; readonly low: number; readonly high: number };
}

/** Marks are whole numbers: the difference of two is no surer than so (1 ⁄ √6). */
const LEAST_SPREAD = Math.sqrt(1 / 6);
/** Half outside on either side of 19 of 20. */
const UPPER = 0.975;

/**
 * Marks of two washes compared tester by tester with Student's t (1908): how often chance alone sets them so far apart. Marks of
 * 4, 5, 4 beside 3, 3, 3 differ by 1.33 ± 0.58; t = 4.0 with 2 degrees, by chance 57 times in 1,000.
 * @returns null for fewer than two testers
 */
export function ratedResult(pairs: readonly RatedPair[]): RatedResult | null {
  const count = pairs.length;
  if (count < 2) return null;
  const [a, b, apart] = [pairs.map((pair) => pair.a), pairs.map((pair) => pair.b), pairs.map((pair) => pair.a - pair.b)].map(meanAndSpread);
  if (a === undefined || b === undefined || apart === undefined) return null;
  const standardError = Math.max(LEAST_SPREAD, apart.spread ?? 0) / Math.sqrt(count);
  const chance = 2 * (1 - jstat.jStat.studentt.cdf(Math.abs(apart.mean) / standardError, count - 1));
  const room = jstat.jStat.studentt.inv(UPPER, count - 1) * standardError;
  return {
    meanA: a.mean,
    meanB: b.mean,
    spreadA: a.spread ?? 0,
    spreadB: b.spread ?? 0,
    difference: { mean: apart.mean, low: apart.mean - room, high: apart.mean + room },
    chance,
    isShown: chance < USUAL_LEVEL,
  };
}
