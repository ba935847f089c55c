import type { Storage } from "../stability/checkCalendar.ts";

/** How a kept sample that is not there stands on a day. */
export interface SimulatedSample {
  readonly ph: number;
  /** Pa·s */
  readonly pascalSeconds: number;
}

/** Invented: how much faster than on a shelf in the room something happens. */
const PACE: Readonly<Record<Storage, number>> = { room: 1, warm: 3.1, cold: 0.35, "freeze-thaw": 1.4, light: 1.7 };
const [LEAST_FALL, MORE_FALL] = [0.004, 0.03];
const [LEAST_THINNING, MORE_THINNING] = [0.002, 0.05];
const DAYS_PER_WEEK = 7;

/**
 * The sample behind the simulated instruments of a batch that is watched: pH falls and the wash thins steadily, by a pace that is
 * invented for each batch and has nothing to do with what the trends expect.
 * @param start what it was made with
 * @param seed 0 to 1, the same one for the same batch
 */
export function simulatedSample(start: SimulatedSample, storage: Storage, days: number, seed: number): SimulatedSample {
  const weeks = (days / DAYS_PER_WEEK) * PACE[storage];
  return {
    ph: Math.max(2, start.ph - (LEAST_FALL + MORE_FALL * seed) * weeks),
    pascalSeconds: start.pascalSeconds * Math.exp(-(LEAST_THINNING + MORE_THINNING * (1 - seed)) * weeks),
  };
}
