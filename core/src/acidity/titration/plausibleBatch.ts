import { phTable, sigmoid, waterAlkalinity, type AgentTable } from "./alkalinity.ts";

/** The weak background is spread evenly over these, pKa. */
const BACKGROUND_PKAS = [3, 3.75, 4.5, 5.25, 6, 6.75, 7.5, 8.25, 9, 9.75, 10.5];

/** The background of 1 mmol/kg in all: nearly straight over the pH of skin. */
const backgroundAt = phTable((ph) => BACKGROUND_PKAS.reduce((sum, pKa) => sum + 1 / (1 + 10 ** (pKa - ph)), 0) / BACKGROUND_PKAS.length);

/** What is dosed, by the level of activity. */
export interface Dosed {
  readonly agent: readonly AgentTable[];
  readonly counter: readonly AgentTable[] | null;
}

/** One plausible batch, made out of the coordinates of a member. */
export interface PlausibleBatch {
  /** Sites now: mmol/kg and pKa. */
  readonly sites: Float64Array;
  readonly pKas: Float64Array;
  siteCount: number;
  /** mmol/kg in all */
  background: number;
  /** Which of the tables of an agent holds in it. */
  level: number;
  /** Charge the strong ions leave over, mmol/kg, at the first reading. */
  excess: number;
  /** All truly dosed until the last station, mmol/kg. */
  agentTotal: number;
  counterTotal: number;
  thinned: number;
}

/** Everything that must balance at a pH, mmol/kg: rises with pH. */
export function chargeOf(batch: PlausibleBatch, ph: number, { agent, counter }: Dosed): number {
  let sum = batch.background * backgroundAt(ph);
  for (let k = 0; k < batch.siteCount; k += 1) sum += batch.sites[k]! * sigmoid(ph - batch.pKas[k]!);
  sum = sum * batch.thinned + waterAlkalinity(ph) - batch.agentTotal * agent[batch.level]!(ph);
  return counter === null ? sum : sum - batch.counterTotal * counter[batch.level]!(ph);
}

/** What is the same for every member at one pH: a reading's own, looked up once. */
interface FixedPh {
  readonly ph: number;
  readonly background: number;
  readonly water: number;
  /** By the level of activity. */
  readonly agent: Float64Array;
  readonly counter: Float64Array;
}

/** The charge at a pH that was looked up before; the same sum, in the same order, as {@link chargeOf}. */
function chargeAt(batch: PlausibleBatch, { ph, background, water, agent, counter }: FixedPh): number {
  let sum = batch.background * background;
  for (let k = 0; k < batch.siteCount; k += 1) sum += batch.sites[k]! * sigmoid(ph - batch.pKas[k]!);
  return sum * batch.thinned + water - batch.agentTotal * agent[batch.level]! - batch.counterTotal * counter[batch.level]!;
}

/** Charge that stands over at a pH; 0 at the batch's own. */
function imbalance(batch: PlausibleBatch, ph: number, dosed: Dosed): number {
  return chargeOf(batch, ph, dosed) - batch.excess * batch.thinned;
}

const SLOPE_STEP = 0.02;
const LONGEST_STEP = 1;

/**
 * The pH of batches from a start close by: one step of the local slope, then one of the secant; exact where it counts.
 * @param start A reading
 */
export function nearPhFrom(start: number, dosed: Dosed): (batch: PlausibleBatch) => number {
  const fixedAt = (ph: number): FixedPh => ({
    ph,
    background: backgroundAt(ph),
    water: waterAlkalinity(ph),
    agent: Float64Array.from(dosed.agent, (table) => table(ph)),
    counter: Float64Array.from(dosed.agent, (_, level) => dosed.counter?.[level]!(ph) ?? 0),
  });
  const [at, besideIt] = [fixedAt(start), fixedAt(start + SLOPE_STEP)];
  return (batch) => {
    const excess = batch.excess * batch.thinned;
    const here = chargeAt(batch, at) - excess;
    const slope = (chargeAt(batch, besideIt) - excess - here) / SLOPE_STEP;
    const step = slope > 0 ? Math.max(-LONGEST_STEP, Math.min(LONGEST_STEP, -here / slope)) : 0;
    if (Math.abs(step) < SLOPE_STEP) return start + step;
    const there = imbalance(batch, start + step, dosed);
    const secant = (there - here) / step;
    const further = secant > 0 ? -there / secant : 0;
    return start + step + Math.max(-LONGEST_STEP, Math.min(LONGEST_STEP, further));
  };
}

const BISECTIONS = 16;

/** The batch's pH, to 0.0003. */
export function phOf(batch: PlausibleBatch, dosed: Dosed): number {
  let low = -1;
  let high = 15;
  for (let k = 0; k < BISECTIONS; k += 1) {
    const middle = (low + high) / 2;
    if (imbalance(batch, middle, dosed) < 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Further dose of an agent that brings the batch to a pH, mmol/kg; negative when it is past it already. */
export function doseTo(batch: PlausibleBatch, ph: number, dosed: Dosed, next: readonly AgentTable[]): number {
  return imbalance(batch, ph, dosed) / next[batch.level]!(ph);
}
