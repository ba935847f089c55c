import { loosened, numberWishes, type NumberWish } from "./loosened.ts";
import { search, type SearchState } from "./search.ts";
import type { LinearSolver } from "../numerics/linearProgram.ts";
import type { DesignQuestion } from "./ask.ts";
import type { DesignWishes } from "./wishes.ts";

/** One change of the wishes that lets a blend be found. */
export type Mend =
  | { readonly kind: "number"; readonly wish: NumberWish; readonly from: number; readonly to: number }
  | { readonly kind: "thickening" }
  | { readonly kind: "must-have"; readonly material: string }
  | { readonly kind: "count"; readonly to: number }
  | { readonly kind: "active"; readonly low: number; readonly high: number };

/** Steps a wish gives way by, at most; doubled, then narrowed down to the first that is enough. */
const MOST_STEPS = 64;
/** Parts looked at for each try. */
const TRY_BOXES = 20_000;
const MOST_COUNT = 5;
/** Active matter gives way by this much at either end, %. */
const ACTIVE_STEP = 1;
const MOST_ACTIVE_STEPS = 8;

/** Whether any blend keeps the wishes. "Not known" counts as no. */
export function isPossible({ candidates, rest }: DesignQuestion, wishes: DesignWishes, solver: LinearSolver): boolean {
  for (const state of search(candidates, wishes, rest, { mostBoxes: TRY_BOXES, perReport: 500 }, solver)) {
    if (state.frontier.points.length > 0) return true;
  }
  return false;
}

/**
 * Where nothing keeps every wish: for each wish alone the smallest change, in steps a maker would take, after which something
 * does. Wishes that do not help alone are not told.
 */
export function mendsOf(question: DesignQuestion, solver: LinearSolver): readonly Mend[] {
  const { wishes } = question;
  const possible = (changed: DesignWishes): boolean => isPossible(question, changed, solver);
  const mends: Mend[] = [];
  for (const wish of numberWishes) {
    const from = wishes[wish];
    if (from === null || !possible({ ...wishes, [wish]: null })) continue;
    const steps = fewestSteps((count) => possible(loosened(wishes, wish, count)!.wishes));
    if (steps !== null) mends.push({ kind: "number", wish, from, to: loosened(wishes, wish, steps)!.to });
  }
  if (wishes.thickening === "salt" && possible({ ...wishes, thickening: "any" })) mends.push({ kind: "thickening" });
  for (const material of wishes.mustHave) {
    const others = wishes.mustHave.filter((slug) => slug !== material);
    if (possible({ ...wishes, mustHave: others })) mends.push({ kind: "must-have", material });
  }
  if (wishes.count.high < MOST_COUNT) {
    const to = wishes.count.high + 1;
    if (possible({ ...wishes, count: { ...wishes.count, high: to } })) mends.push({ kind: "count", to });
  }
  const wider = (steps: number) => ({
    low: Math.max(0.5, wishes.activePercent.low - steps * ACTIVE_STEP),
    high: wishes.activePercent.high + steps * ACTIVE_STEP,
  });
  for (let steps = 1; steps <= MOST_ACTIVE_STEPS; steps += 1) {
    if (!possible({ ...wishes, activePercent: wider(steps) })) continue;
    mends.push({ kind: "active", ...wider(steps) });
    break;
  }
  return mends;
}

/** The first count of steps that is enough, where more is always enough too; null where none is. */
function fewestSteps(isEnough: (steps: number) => boolean): number | null {
  let high = 1;
  while (!isEnough(high)) {
    high *= 2;
    if (high > MOST_STEPS) return null;
  }
  let low = high === 1 ? 1 : high / 2 + 1;
  while (low < high) {
    const middle = Math.floor((low + high) / 2);
    if (isEnough(middle)) high = middle;
    else low = middle + 1;
  }
  return high;
}

/** Runs a search to its end. */
export function searched({ candidates, wishes, rest }: DesignQuestion, mostBoxes: number, solver: LinearSolver): SearchState {
  const run = search(candidates, wishes, rest, { mostBoxes, perReport: mostBoxes + 1 }, solver);
  for (;;) {
    const { value, done } = run.next();
    if (done === true) return value;
  }
}
