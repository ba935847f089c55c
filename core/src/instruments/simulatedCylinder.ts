/** A shaken cylinder that is not there. */
export interface SimulatedCylinder {
  /** Height of the foam at the last shake, mm. */
  readonly flashMm: number;
  /** What drains in the first minute, 0 to 1; the rest falls steadily. */
  readonly drains: number;
  readonly halfMinutes: number;
}

const [LEAST_MM, MORE_MM] = [55, 90];
const [LEAST_DRAINS, MORE_DRAINS] = [0.02, 0.15];
const [SHORTEST, LONGER] = [4, 30];
/** One shake lies so much beside another, as a part of the height. */
const SCATTER = 0.04;
const DRAIN_MINUTES = 0.4;

/**
 * A cylinder that was shaken ten times; invented for the batch, and a little different at each shaking.
 * @param seed 0 to 1, the same one for the same batch
 * @param scatter normal, mean 0 and deviation 1, drawn by the caller
 */
export function shakenCylinder(seed: number, scatter: number): SimulatedCylinder {
  return {
    flashMm: (LEAST_MM + MORE_MM * seed) * (1 + SCATTER * scatter),
    drains: LEAST_DRAINS + MORE_DRAINS * (1 - seed),
    halfMinutes: SHORTEST + LONGER * ((seed * 7.3) % 1),
  };
}

/** The height of its foam some minutes after the last shake, to whole mm as one reads it. */
export function foamHeight({ flashMm, drains, halfMinutes }: SimulatedCylinder, minutes: number): number {
  const drained = drains * (1 - Math.exp(-minutes / DRAIN_MINUTES));
  return Math.round(flashMm * (1 - drained) * 2 ** (-minutes / halfMinutes));
}
