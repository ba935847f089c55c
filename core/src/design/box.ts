import type { Problem } from "./problem.ts";

/** Ranges of the amounts, % active matter. */
export interface Box {
  readonly low: Float64Array;
  readonly high: Float64Array;
  /** Range of their sum. */
  readonly least: number;
  readonly most: number;
}

const NOISE = 1e-9;

/** A box drawn in to what the sum and the rows allow; null where nothing in it can keep them. */
export function drawnIn({ least, most, rows }: Problem, low: Float64Array, high: Float64Array): Box | null {
  const size = low.length;
  let [lowSum, highSum] = [0, 0];
  for (let i = 0; i < size; i += 1) {
    lowSum += low[i]!;
    highSum += high[i]!;
  }
  const sumLeast = Math.max(least, lowSum);
  const sumMost = Math.min(most, highSum);
  if (sumLeast > sumMost + NOISE) return null;
  for (let i = 0; i < size; i += 1) {
    const [down, up] = [low[i]!, high[i]!];
    low[i] = Math.max(down, least - (highSum - up));
    high[i] = Math.min(up, most - (lowSum - down));
    if (low[i]! > high[i]! + NOISE) return null;
    if (low[i]! > high[i]!) low[i] = high[i]!;
  }
  for (const { values, lower, upper } of rows) {
    let [smallest, largest] = [0, 0];
    for (let i = 0; i < size; i += 1) {
      const value = values[i]!;
      smallest += value * (value > 0 ? low[i]! : high[i]!);
      largest += value * (value > 0 ? high[i]! : low[i]!);
    }
    if (smallest > upper + NOISE || largest < lower - NOISE) return null;
  }
  return { low, high, least: sumLeast, most: sumMost };
}

/**
 * Where a sum of values × amounts is smallest in a box whose amounts sum to `total`: what counts least is taken first, all of
 * it, until the sum is reached.
 */
export function smallestAt(
  { low, high }: Pick<Box, "low" | "high">,
  order: readonly number[],
  total: number,
  into: Float64Array,
): Float64Array {
  let missing = total;
  for (let i = 0; i < low.length; i += 1) {
    into[i] = low[i]!;
    missing -= low[i]!;
  }
  for (const i of order) {
    if (missing <= 0) break;
    const more = Math.min(missing, high[i]! - low[i]!);
    into[i]! += more;
    missing -= more;
  }
  return into;
}

/** The places of values, the smallest first. */
export function risingOrder(values: readonly number[]): readonly number[] {
  return values.map((_, i) => i).sort((a, b) => values[a]! - values[b]! || a - b);
}

/** Whether amounts keep the sum and every row. */
export function keepsRows({ least, most, rows }: Problem, percents: ArrayLike<number>): boolean {
  let sum = 0;
  for (let i = 0; i < percents.length; i += 1) sum += percents[i]!;
  if (sum < least - NOISE || sum > most + NOISE) return false;
  for (const { values, lower, upper } of rows) {
    let value = 0;
    for (let i = 0; i < percents.length; i += 1) value += values[i]! * percents[i]!;
    if (value < lower - NOISE || value > upper + NOISE) return false;
  }
  return true;
}
