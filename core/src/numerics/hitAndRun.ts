import type { Polytope } from "./linearProgram.ts";
import { randomFrom, type Random } from "./random.ts";

export interface InteriorEstimate {
  /** Mean of the samples, which lies in the polytope. */
  readonly mean: Float64Array;
  /** Gelman and Rubin's factor, the largest over all variables; 1 is perfect. */
  readonly spread: number;
  readonly converged: boolean;
  readonly samples: number;
}

const CHAINS = 4;
const BATCH = 400;
const MOST_BATCHES = 25;
/** Below this the chains tell the same. */
const CONVERGED = 1.03;

/** The mean of a polytope as far as it was walked. */
export interface InteriorProgress extends InteriorEstimate {
  /** 0 to 1 of the steps that are taken at most. */
  readonly done: number;
}

/**
 * Mean of a polytope under the uniform distribution, by hit and run (Smith 1984): by turns from one of its corners
 * to another, so that thin polytopes are crossed as well, and from one variable to another. Four chains go on until
 * Gelman and Rubin's factor (1992) falls below 1.03, 10,000 steps each at most. Deterministic for a seed. Yields the estimate
 * after every 400 steps of each chain.
 * @param polytope Its variables have a fixed sum.
 * @param corners Points of the polytope that span it.
 * @param onPoint Told of every point the chains come by.
 */
export function* interiorWalk(
  polytope: Polytope,
  corners: readonly Float64Array[],
  seed: number,
  onPoint: (point: Float64Array) => void = () => undefined,
): Generator<InteriorProgress> {
  const size = polytope.lower.length;
  const random = randomFrom(seed);
  const centre = meanOf(corners, size);
  const chains = Array.from({ length: CHAINS }, (_, chain) => ({
    // Begin apart: half way from the centre to a corner of its own.
    at: centre.map((value, i) => (value + corners[Math.floor((chain * corners.length) / CHAINS)]![i]!) / 2),
    sum: new Float64Array(size),
    squares: new Float64Array(size),
  }));
  let samples = 0;
  let spread = Infinity;
  const step = new Float64Array(size);
  for (let batch = 0; batch < MOST_BATCHES && spread > CONVERGED; batch += 1) {
    for (const { at, sum, squares } of chains) {
      for (let k = 0; k < BATCH; k += 1) {
        setDirection(step, k % 2 === 0 ? null : corners, random);
        const [low, high] = chordOf(polytope, at, step);
        const length = low + (high - low) * random.uniform();
        for (let i = 0; i < size; i += 1) {
          const value = Math.min(polytope.upper[i]!, Math.max(polytope.lower[i]!, at[i]! + length * step[i]!));
          at[i] = value;
          sum[i]! += value;
          squares[i]! += value * value;
        }
        onPoint(at);
      }
    }
    samples += BATCH;
    spread = gelmanRubin(chains, samples);
    const mean = Float64Array.from({ length: size }, (_, i) => chains.reduce((sum, chain) => sum + chain.sum[i]!, 0) / (CHAINS * samples));
    yield { mean, spread, converged: spread <= CONVERGED, samples: samples * CHAINS, done: (batch + 1) / MOST_BATCHES };
  }
}

/** From one corner to another, or without corners an exchange between two variables. */
function setDirection(step: Float64Array, corners: readonly Float64Array[] | null, random: Random): void {
  const pick = (count: number): number => Math.floor(random.uniform() * count);
  if (corners === null) {
    step.fill(0);
    step[pick(step.length)]! += 1;
    step[pick(step.length)]! -= 1;
    return;
  }
  const [from, to] = [corners[pick(corners.length)]!, corners[pick(corners.length)]!];
  for (let i = 0; i < step.length; i += 1) step[i] = to[i]! - from[i]!;
}

function meanOf(points: readonly Float64Array[], size: number): Float64Array {
  const mean = new Float64Array(size);
  for (const point of points) for (let i = 0; i < size; i += 1) mean[i]! += point[i]! / points.length;
  return mean;
}

/** How far one can go from a point along a step, back and forth, until a bound is met. */
function chordOf({ lower, upper, rows }: Polytope, at: Float64Array, step: Float64Array): readonly [number, number] {
  let low = -Infinity;
  let high = Infinity;
  const bound = (value: number, slope: number, least: number, most: number): void => {
    if (Math.abs(slope) < 1e-12) return;
    const [a, b] = [(least - value) / slope, (most - value) / slope];
    low = Math.max(low, Math.min(a, b));
    high = Math.min(high, Math.max(a, b));
  };
  for (let i = 0; i < at.length; i += 1) bound(at[i]!, step[i]!, lower[i]!, upper[i]!);
  for (const { indices, values, lower: least, upper: most } of rows) {
    // A row that is an equation holds along every step; its rounding must not stop the walk.
    if (least === most) continue;
    let value = 0;
    let slope = 0;
    for (let k = 0; k < indices.length; k += 1) {
      value += values[k]! * at[indices[k]!]!;
      slope += values[k]! * step[indices[k]!]!;
    }
    bound(value, slope, least, most);
  }
  // Rounding may have left a point a hair outside.
  return low > high || !Number.isFinite(high - low) ? [0, 0] : [Math.min(0, low), Math.max(0, high)];
}

function gelmanRubin(chains: readonly { readonly sum: Float64Array; readonly squares: Float64Array }[], samples: number): number {
  const size = chains[0]!.sum.length;
  let worst = 1;
  for (let i = 0; i < size; i += 1) {
    const means = chains.map(({ sum }) => sum[i]! / samples);
    const variances = chains.map(({ squares }, chain) => (samples / (samples - 1)) * (squares[i]! / samples - means[chain]! ** 2));
    const whole = means.reduce((sum, mean) => sum + mean, 0) / chains.length;
    const between = means.reduce((sum, mean) => sum + (mean - whole) ** 2, 0) / (chains.length - 1);
    const within = variances.reduce((sum, variance) => sum + variance, 0) / chains.length;
    // A variable that cannot move has converged.
    if (within > 1e-12) worst = Math.max(worst, Math.sqrt((samples - 1) / samples + between / within));
  }
  return worst;
}
