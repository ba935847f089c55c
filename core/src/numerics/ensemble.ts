import { randomFrom, type Random } from "./random.ts";

/** What is drawn: coordinates between 0 and 1, then standard normal ones; and how well they explain what was observed. */
export interface EnsembleProblem {
  readonly uniformCount: number;
  readonly normalCount: number;
  /** Number of observations, taken in one by one. */
  readonly stages: number;
  /**
   * Log-likelihoods of the member whose coordinates start at `offset`: into `out[0]` the sum over all stages before
   * this one, into `out[1]` that of this one.
   */
  evaluate(coordinates: Float64Array, offset: number, stage: number, out: Float64Array): void;
}

export interface EnsembleSize {
  readonly members: number;
  readonly seed: number;
}

/** Members that all count the same, each a row of coordinates. */
export interface Ensemble {
  readonly members: number;
  readonly coordinatesEach: number;
  readonly coordinates: Float64Array;
}

/** A likelihood is let in only so far that this share of the members still counts. */
const KEPT_SHARE = 0.5;
/** Walks of every member after each letting-in, and more once an observation is in whole. */
const MOVES_BETWEEN = 2;
const MOVES_AT_END = 4;
const MOST_LEVELS = 60;

/**
 * Draws from everything the observations leave plausible: sequential Monte Carlo with tempering (Del Moral, Doucet and
 * Jasra 2006). Each observation is let in by degrees; members are resampled and then moved by differential evolution
 * (ter Braak 2006), so that they never shrink to a few. The same seed gives the same members.
 */
export function drawEnsemble(problem: EnsembleProblem, { members, seed }: EnsembleSize): Ensemble {
  const random = randomFrom(seed);
  const each = problem.uniformCount + problem.normalCount;
  const population: Population = {
    members,
    each,
    rows: new Float64Array(members * each),
    before: new Float64Array(members),
    now: new Float64Array(members),
  };
  for (let k = 0; k < population.rows.length; k += 1) {
    population.rows[k] = k % each < problem.uniformCount ? random.uniform() : random.normal();
  }
  for (let stage = 0; stage < problem.stages; stage += 1) takeIn(problem, stage, population, random);
  return { members, coordinatesEach: each, coordinates: population.rows };
}

interface Population {
  readonly members: number;
  readonly each: number;
  rows: Float64Array;
  /** Log-likelihood of the stages before, by member. */
  before: Float64Array;
  /** Log-likelihood of this stage, by member. */
  now: Float64Array;
}

function takeIn(problem: EnsembleProblem, stage: number, population: Population, random: Random): void {
  const out = new Float64Array(2);
  for (let member = 0; member < population.members; member += 1) {
    problem.evaluate(population.rows, member * population.each, stage, out);
    population.before[member] = out[0]!;
    population.now[member] = out[1]!;
  }
  let degree = 0;
  for (let level = 0; level < MOST_LEVELS && degree < 1; level += 1) {
    const more = level === MOST_LEVELS - 1 ? 1 - degree : nextDegree(population.now, 1 - degree);
    resample(population, more, random);
    degree += more;
    const moves = degree < 1 ? MOVES_BETWEEN : MOVES_AT_END;
    for (let move = 0; move < moves; move += 1) walk(problem, { stage, degree }, population, random);
  }
}

/** The largest part of what is left that keeps enough members counting. */
function nextDegree(logLikelihood: Float64Array, left: number): number {
  const enough = KEPT_SHARE * logLikelihood.length;
  if (effectiveSize(logLikelihood, left) >= enough) return left;
  let low = 0;
  let high = left;
  for (let k = 0; k < 30; k += 1) {
    const middle = (low + high) / 2;
    if (effectiveSize(logLikelihood, middle) >= enough) low = middle;
    else high = middle;
  }
  return Math.max(low, left * 1e-9);
}

/** Below it a weight is less than the last digit of the sum. */
const LN_OF_NOTHING = -40;

/** (Σ w)² ⁄ Σ w² of the weights e^(degree × log-likelihood). */
function effectiveSize(logLikelihood: Float64Array, degree: number): number {
  const most = highest(logLikelihood);
  let sum = 0;
  let squares = 0;
  for (const value of logLikelihood) {
    const lnWeight = degree * (value - most);
    if (lnWeight < LN_OF_NOTHING) continue;
    const weight = Math.exp(lnWeight);
    sum += weight;
    squares += weight * weight;
  }
  return (sum * sum) / squares;
}

function highest(values: Float64Array): number {
  let most = -Infinity;
  for (const value of values) if (value > most) most = value;
  return most;
}

/** Systematic resampling: each member as often as its weight asks, one random number for all. */
function resample(population: Population, degree: number, random: Random): void {
  const { members, each, rows, before, now } = population;
  const most = highest(now);
  const weights = now.map((value) => Math.exp(degree * (value - most)));
  const step = weights.reduce((sum, weight) => sum + weight, 0) / members;
  const newRows = new Float64Array(rows.length);
  const newBefore = new Float64Array(members);
  const newNow = new Float64Array(members);
  let from = 0;
  let reached = weights[0]!;
  const start = random.uniform();
  for (let member = 0; member < members; member += 1) {
    const wanted = (member + start) * step;
    while (reached < wanted && from < members - 1) reached += weights[(from += 1)]!;
    newRows.set(rows.subarray(from * each, (from + 1) * each), member * each);
    newBefore[member] = before[from]!;
    newNow[member] = now[from]!;
  }
  population.rows = newRows;
  population.before = newBefore;
  population.now = newNow;
}

interface Temper {
  readonly stage: number;
  readonly degree: number;
}

/** Chance of a step that draws one coordinate anew instead of going along the difference of two members. */
const FRESH_CHANCE = 0.2;
/** Chance that such a difference is followed in a few coordinates only. */
const PARTIAL_CHANCE = 0.4;
const JITTER = 1e-3;

/** One Metropolis step of every member. */
function walk(problem: EnsembleProblem, { stage, degree }: Temper, population: Population, random: Random): void {
  const { members, each, rows, before, now } = population;
  const tried = new Float64Array(each);
  const out = new Float64Array(2);
  for (let member = 0; member < members; member += 1) {
    const at = member * each;
    propose(problem, population, at, tried, random);
    let lnRatio = 0;
    for (let k = problem.uniformCount; k < each; k += 1) lnRatio += (rows[at + k]! ** 2 - tried[k]! ** 2) / 2;
    problem.evaluate(tried, 0, stage, out);
    lnRatio += out[0]! - before[member]! + degree * (out[1]! - now[member]!);
    if (!(lnRatio >= 0 || random.uniform() < Math.exp(lnRatio))) continue;
    rows.set(tried, at);
    before[member] = out[0]!;
    now[member] = out[1]!;
  }
}

function propose(problem: EnsembleProblem, { members, each, rows }: Population, at: number, tried: Float64Array, random: Random): void {
  for (let k = 0; k < each; k += 1) tried[k] = rows[at + k]!;
  if (random.uniform() < FRESH_CHANCE) {
    const k = Math.floor(random.uniform() * each);
    tried[k] = k < problem.uniformCount ? random.uniform() : random.normal();
    return;
  }
  const one = Math.floor(random.uniform() * members) * each;
  const other = Math.floor(random.uniform() * members) * each;
  const isPartial = random.uniform() < PARTIAL_CHANCE;
  const share = isPartial ? 3 / each : 1;
  // Steps of 2.38 ⁄ √(2d) mix best for a bell-shaped target; shorter ones keep the bent ones moving.
  const length = (2.38 / Math.sqrt(2 * each * share)) * (0.3 + 0.7 * random.uniform());
  for (let k = 0; k < each; k += 1) {
    if (isPartial && random.uniform() > share) continue;
    const moved = tried[k]! + length * (rows[one + k]! - rows[other + k]!) + JITTER * (random.uniform() - 0.5);
    tried[k] = k < problem.uniformCount ? reflected(moved) : moved;
  }
}

/** Folds a number back into 0 to 1. */
function reflected(value: number): number {
  const folded = Math.abs(value) % 2;
  return folded > 1 ? 2 - folded : folded;
}
