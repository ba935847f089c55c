import jstat from "jstat";
import { Refusal } from "../quantities/refusal.ts";

/** Three cups of which one is different, or two of which one is preferred. */
export const blindKinds = ["triangle", "paired"] as const;

export type BlindKind = (typeof blindKinds)[number];

/** Which of two washes each cup of a tester holds, in the order of tasting. */
export type Cups = readonly ("A" | "B")[];

const ORDERS: Readonly<Record<BlindKind, readonly Cups[]>> = {
  triangle: [
    ["A", "A", "B"],
    ["A", "B", "A"],
    ["B", "A", "A"],
    ["B", "B", "A"],
    ["B", "A", "B"],
    ["A", "B", "B"],
  ],
  paired: [
    ["A", "B"],
    ["B", "A"],
  ],
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

const CHANCES: Readonly<Record<BlindKind, number>> = { triangle: 1 / 3, paired: 1 / 2 };
const USUAL_LEVEL = 0.05;

/**
 * How often chance alone would do as much, exactly by the binomial distribution (Bengtsson and Helm 1946 for the triangle). Of a
 * triangle: that so many or more find the odd cup. Of a pair: that so many or more prefer either of the two. 9 of 12 triangles
 * come by chance 4 times in 1,000; 10 of 12 for one of a pair 39 times.
 * @param successes testers who found the odd cup, or who prefer A
 * @throws Refusal where more succeed than were asked
 */
export function blindResult(kind: BlindKind, successes: number, testers: number): BlindResult {
  if (!(successes >= 0 && successes <= testers)) {
    throw new Refusal("not-valid", `${successes} of ${testers} testers is no count.`, "Count the answers again.");
  }
  const atLeast = (count: number): number => (count <= 0 ? 1 : 1 - jstat.jStat.binomial.cdf(count - 1, testers, CHANCES[kind]));
  const chance = kind === "triangle" ? atLeast(successes) : Math.min(1, 2 * atLeast(Math.max(successes, testers - successes)));
  return { chance: testers === 0 ? 1 : chance, isShown: testers > 0 && chance < USUAL_LEVEL };
}
