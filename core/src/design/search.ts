import { drawnIn, keepsRows, smallestAt, type Box } from "./box.ts";
import { boundsOf, foamSlices, ordersOf, type Bounds, type Orders } from "./bounds.ts";
import { Frontier } from "./frontier.ts";
import { easyFigures, judgeBlend, sumOf, type JudgedBlend } from "./judgeBlend.ts";
import { problemsOf, type Problem } from "./problem.ts";
import type { LinearSolver } from "../numerics/linearProgram.ts";
import { setsOf, type SetCuts } from "./sets.ts";
import type { Candidate, Counterweight, DesignWishes, RestOfSheet } from "./wishes.ts";

/** A blend that was judged, with its amounts. */
export interface Design extends JudgedBlend {
  readonly problem: Problem;
  /** Active matter of each member, % w/w. */
  readonly percents: readonly number[];
}

/** How the search stands. */
export interface SearchState {
  readonly frontier: Frontier<Design>;
  readonly sets: number;
  readonly cuts: SetCuts;
  /** Choices whose best possible blend was worse than one that is there, before any part of them was looked at. */
  readonly outdone: number;
  /** Parts of choices that were looked at, and blends that were judged. */
  readonly boxes: number;
  readonly judged: number;
  /** Parts that wait. */
  readonly waiting: number;
  /** Whether there are choices nobody looked at, since there are too many. */
  readonly isCutShort: boolean;
  /** Whether nothing is left to look at. */
  readonly isProved: boolean;
  /** No blend is better in both than one on the frontier by more than this part. */
  readonly gap: number;
}

export interface SearchLimits {
  /** Parts that are looked at, at most. */
  readonly mostBoxes: number;
  /** Parts between two reports. */
  readonly perReport: number;
  /** Choices that are looked at, at most: each waits with bounds of its own, and memory ends. */
  readonly mostSets?: number;
}

const MOST_SETS = 300_000;

/**
 * What counts as no better: one part in a hundred, at least a tenth of a cent, a hundredth of a point of foam, a quarter of a percent of
 * change.
 */
export const TOLERANCE = 0.01;
/** Boxes go by a little less, so that what lies between amounts as fine as one weighs stays within it. */
const SOUGHT = 0.8 * TOLERANCE;
const SECOND_NEAR = {
  cost: { part: 1, least: 0.1 },
  foam: { part: 1, least: 1 },
  change: { part: 0, least: 25 },
} as const satisfies Record<Counterweight, object>;
/** A blend is new where it is better by this part of the tolerance. */
const NEW_FROM = TOLERANCE / 4;
/** Finer than this nobody weighs, % active matter. */
const FINEST_PERCENT = 0.01;

type Figures = Pick<JudgedBlend, "irritation" | "flash" | "stability" | "cost" | "changePercent">;

/** What is weighed against irritation, so that less is better. */
export function secondFigure(
  against: Counterweight,
  { cost, flash, changePercent }: Pick<JudgedBlend, "cost" | "flash" | "changePercent">,
): number {
  return { cost, foam: -flash, change: changePercent }[against];
}

interface Part {
  readonly problem: Problem;
  readonly orders: Orders;
  readonly box: Box;
  readonly irritation: number;
  readonly second: number;
  readonly isWhole: boolean;
}

/**
 * Looks for the blends that no other is better than in irritation and in what is weighed against it, among all choices of
 * candidates that keep the wishes. Branch and bound: a choice is a box of amounts, each box has bounds that none of its blends
 * can pass (`boundsOf`), boxes that something found is as good as go, and the others are halved along their longest side, the
 * widest first. When none is left, no blend is better than one on the frontier by more than `TOLERANCE` in both; what is finer
 * than 0.01 % of active matter is not looked at. The same question has the same answer.
 *
 * @yields How it stands, after the first look at every choice and after every so many boxes.
 */
export function* search(
  candidates: readonly Candidate[],
  wishes: DesignWishes,
  rest: RestOfSheet,
  { mostBoxes, perReport, mostSets = MOST_SETS }: SearchLimits,
  solver: LinearSolver,
): Generator<SearchState, SearchState> {
  const frontier = new Frontier<Design>(SECOND_NEAR[wishes.against]);
  const secondOf = (figures: Figures): number => secondFigure(wishes.against, figures);
  const queue: Part[] = [];
  const size = { sets: 0, outdone: 0, boxes: 0, judged: 0 };
  const cuts: SetCuts = { charge: 0, ph: 0, thickening: 0, impossible: 0 };
  const scratch = new Float64Array(Math.max(1, wishes.count.high));
  let head = 0;
  let isCutShort = false;

  const gapNow = (): number => {
    if (isCutShort) return 1;
    if (queue.length === head) return TOLERANCE;
    let gap = 0;
    for (let at = head; at < queue.length; at += 1) {
      const { irritation, second } = queue[at]!;
      if (!frontier.covers(irritation, second, gap)) gap = frontier.gapAt(irritation, second);
    }
    return gap;
  };

  const state = (): SearchState => {
    const waiting = queue.length - head;
    return {
      ...{ frontier, cuts, ...size, waiting, isCutShort, isProved: waiting === 0 && !isCutShort },
      // Worked out where it is asked for: it looks at everything that waits.
      get gap() {
        return gapNow();
      },
    };
  };

  const keepsWishes = ({ irritation, flash, stability }: Figures): boolean =>
    (wishes.mostIrritation === null || irritation <= wishes.mostIrritation + NOISE) &&
    (wishes.leastFlash === null || flash >= wishes.leastFlash - NOISE) &&
    (wishes.leastStability === null || stability >= wishes.leastStability - NOISE);

  const tryBlend = (problem: Problem, { perZein }: Bounds, percents: Float64Array): void => {
    if (!keepsRows(problem, percents)) return;
    // What needs no micelles first: most blends go by it.
    const easy = { irritation: perZein * sumOf(problem.zein, percents), ...easyFigures(problem, percents) };
    if (!keepsWishes(easy) || frontier.covers(easy.irritation, secondOf(easy), NEW_FROM)) return;
    size.judged += 1;
    const judged = judgeBlend(problem, percents);
    if (judged === null || !keepsWishes(judged) || frontier.covers(judged.irritation, secondOf(judged), NEW_FROM)) return;
    frontier.take({ irritation: judged.irritation, second: secondOf(judged), blend: { ...judged, problem, percents: [...percents] } });
  };

  /** Looks at a box: bounds it, tries blends in it, and lets it wait to be halved where something better may be in it. */
  const look = (problem: Problem, orders: Orders, low: Float64Array, high: Float64Array, isWhole: boolean): boolean => {
    const box = drawnIn(problem, low, high);
    if (box === null) return false;
    const bounds = boundsOf(problem, orders, box, scratch);
    if (!keepsWishes(bounds)) return false;
    const second = secondOf(bounds);
    const isCovered = (): boolean =>
      frontier.covers(bounds.irritation, second, SOUGHT) ||
      (wishes.against === "foam" &&
        foamSlices(problem, orders, box, bounds, scratch).every(({ irritation, flash }) => frontier.covers(irritation, -flash, SOUGHT)));
    if (isCovered()) {
      if (isWhole) size.outdone += 1;
      return true;
    }
    for (const percents of samplesOf(box, problem, orders, wishes.against)) tryBlend(problem, bounds, percents);
    if (isCovered()) return true;
    // A linear programme costs more than all that: only a choice that may still be better is worth one.
    if (isWhole) for (const percents of cornersOf(problem, solver)) tryBlend(problem, bounds, percents);
    queue.push({ problem, orders, box, irritation: bounds.irritation, second, isWhole });
    return true;
  };

  for (const members of setsOf(candidates, wishes, rest, cuts)) {
    if (size.sets >= mostSets) {
      isCutShort = true;
      break;
    }
    size.sets += 1;
    const problems = problemsOf(members, wishes, rest);
    if (problems.length === 0) {
      cuts.thickening += 1;
      continue;
    }
    let isPossible = false;
    for (const problem of problems) {
      const possible = look(problem, ordersOf(problem), Float64Array.from(problem.lower), Float64Array.from(problem.upper), true);
      isPossible ||= possible;
    }
    if (!isPossible) cuts.impossible += 1;
    if (size.sets % perReport === 0) yield state();
  }
  yield state();

  while (head < queue.length && size.boxes < mostBoxes) {
    const part = queue[head]!;
    head += 1;
    if (head > 4096 && head * 2 > queue.length) {
      queue.splice(0, head);
      head = 0;
    }
    size.boxes += 1;
    if (frontier.covers(part.irritation, part.second, SOUGHT)) {
      if (part.isWhole) size.outdone += 1;
      continue;
    }
    const side = longestSide(part.box);
    const { low, high } = part.box;
    if (high[side]! - low[side]! >= FINEST_PERCENT) {
      const middle = (low[side]! + high[side]!) / 2;
      for (const [from, to] of [
        [low[side]!, middle],
        [middle, high[side]!],
      ] as const) {
        const [halfLow, halfHigh] = [Float64Array.from(low), Float64Array.from(high)];
        halfLow[side] = from;
        halfHigh[side] = to;
        look(part.problem, part.orders, halfLow, halfHigh, false);
      }
    }
    if (size.boxes % perReport === 0) yield state();
  }
  return state();
}

const NOISE = 1e-9;

/** The cheapest and the mildest by the sum of a whole choice: both lie in corners, which a linear programme finds. */
function cornersOf({ lower, upper, rows, members, least, most, cost, zein }: Problem, solver: LinearSolver): readonly Float64Array[] {
  const indices = members.map((_, i) => i);
  const sum = { values: indices.map(() => 1), lower: least, upper: most };
  const found = solver.leastOf({ lower, upper, rows: [sum, ...rows].map((row) => ({ ...row, indices })) }, [cost, zein]);
  return found.found ? found.corners : [];
}

function longestSide({ low, high }: Box): number {
  let side = 0;
  for (let i = 1; i < low.length; i += 1) if (high[i]! - low[i]! > high[side]! - low[side]!) side = i;
  return side;
}

/** Blends of a box that are worth a look: the cheapest, the mildest by the sum, and between; or with the most foam. */
function* samplesOf(box: Box, { present }: Problem, orders: Orders, against: Counterweight): Generator<Float64Array> {
  // Nearest to the sheet as it is.
  if (against === "change") yield box.low.map((low, i) => Math.min(box.high[i]!, Math.max(low, present[i]!)));
  const other = against === "foam" ? orders.flash : orders.cost;
  const totals = box.most - box.least > FINEST_PERCENT ? [box.least, (box.least + box.most) / 2, box.most] : [box.least];
  for (const total of totals) {
    const mildest = smallestAt(box, orders.zein, total, new Float64Array(box.low.length));
    const best = smallestAt(box, other, total, new Float64Array(box.low.length));
    yield mildest;
    yield best;
    yield mildest.map((value, i) => (value + best[i]!) / 2);
  }
}
