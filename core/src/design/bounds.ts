import { foamFactor, irritationOf, STEADYING } from "../surfactants/index.ts";
import { risingOrder, smallestAt, type Box } from "./box.ts";
import { looseOil } from "./judgeBlend.ts";
import { mostRelief } from "./reliefBound.ts";
import type { Problem } from "./problem.ts";

/** Orders in which a box is filled, worked out once for a problem. */
export interface Orders {
  readonly cost: readonly number[];
  readonly zein: readonly number[];
  readonly flash: readonly number[];
  readonly stability: readonly number[];
}

export function ordersOf({ cost, zein, flash, stability }: Problem): Orders {
  const falling = (values: readonly number[]): readonly number[] => risingOrder(values).toReversed();
  return { cost: risingOrder(cost), zein: risingOrder(zein), flash: falling(flash), stability: falling(stability) };
}

/** Least of a sum of values × amounts in a box. */
function leastSum(values: readonly number[], order: readonly number[], box: Box, scratch: Float64Array): number {
  smallestAt(box, order, box.least, scratch);
  let [sum, total] = [0, 0];
  for (let i = 0; i < values.length; i += 1) {
    sum += values[i]! * scratch[i]!;
    total += scratch[i]!;
  }
  // What costs less than nothing is taken as far as the sum allows.
  for (const i of order) {
    if (values[i]! >= 0) break;
    const more = Math.min(box.high[i]! - scratch[i]!, box.most - total);
    if (more <= 0) continue;
    sum += values[i]! * more;
    total += more;
  }
  return sum;
}

/** Most of a share-weighted average in a box: what counts most is taken first, within the shares it can have. */
function mostAverage(values: readonly number[], order: readonly number[], { low, high, least, most }: Box): number {
  let [missing, sum] = [1, 0];
  for (let i = 0; i < values.length; i += 1) {
    const share = low[i]! / most;
    missing -= share;
    sum += values[i]! * share;
  }
  for (const i of order) {
    if (missing <= 0) break;
    const more = Math.min(missing, high[i]! / least - low[i]! / most);
    sum += values[i]! * more;
    missing -= more;
  }
  return sum;
}

/** Foam of one figure can be no more than this. The parts of `foamOf` that depend on the strength rise with it. */
function mostFoam(average: number, problem: Problem, most: number): number {
  return average * foamFactor(most, looseOil(problem, most));
}

const NOISE = 1e-9;

function maySteady({ members }: Problem, { low, high }: Box): boolean {
  let [ownLow, ownHigh, otherLow, otherHigh] = [0, 0, 0, 0];
  for (let i = 0; i < members.length; i += 1) {
    if (members[i]!.charge === "amphoteric") {
      ownLow += low[i]!;
      ownHigh += high[i]!;
    } else {
      otherLow += low[i]!;
      otherHigh += high[i]!;
    }
  }
  if (ownHigh === 0) return false;
  return ownHigh / (ownHigh + otherLow) >= STEADYING.low / 100 - NOISE && ownLow / (ownLow + otherHigh) <= STEADYING.high / 100 + NOISE;
}

/** What no blend in a box can be better than. */
export interface Bounds {
  readonly irritation: number;
  readonly cost: number;
  readonly flash: number;
  readonly stability: number;
  readonly changePercent: number;
  /** Irritation for each unit of zein × active matter, at the most relief. */
  readonly perZein: number;
}

/** Slices by strength that a box is looked at in where foam, which rises with it, is weighed against irritation. */
const SLICES = 8;

/** Pairs of irritation and most foam that the blends of a box cannot all be better than: one for each slice of its strength. */
export function foamSlices(
  problem: Problem,
  orders: Orders,
  box: Box,
  { perZein }: Bounds,
  scratch: Float64Array,
): readonly Pick<Bounds, "irritation" | "flash">[] {
  const average = mostAverage(problem.flash, orders.flash, box);
  return Array.from({ length: SLICES }, (_, k) => {
    const edge = (at: number): number => box.least + ((box.most - box.least) * at) / SLICES;
    const slice = { ...box, least: edge(k), most: edge(k + 1) };
    return { irritation: perZein * leastSum(problem.zein, orders.zein, slice, scratch), flash: mostFoam(average, problem, slice.most) };
  });
}

export function boundsOf(problem: Problem, orders: Orders, box: Box, scratch: Float64Array): Bounds {
  const relief = mostRelief(problem, box.low, box.high);
  const perZein = irritationOf(1, relief, 1).load;
  return {
    perZein,
    changePercent: problem.present.reduce((sum, at, i) => sum + Math.max(0, box.low[i]! - at, at - box.high[i]!), problem.gone),
    irritation: perZein * leastSum(problem.zein, orders.zein, box, scratch),
    cost: problem.restCost + leastSum(problem.cost, orders.cost, box, scratch),
    flash: mostFoam(mostAverage(problem.flash, orders.flash, box), problem, box.most),
    stability: mostFoam(mostAverage(problem.stability, orders.stability, box), problem, box.most) + (maySteady(problem, box) ? 1 : 0),
  };
}
