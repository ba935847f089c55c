import type { FunnelConstants } from "../rheology/viscosity/flowTime.ts";

/** A flow cup that is not there: what was filled in, and when it was let run. */
export interface SimulatedCup {
  /** How long what is in it takes to run out, s; null while it is empty. */
  readonly runsSeconds: number | null;
  /** ms */
  readonly startedAt: number;
}

/** Constants of the simulated cup: a wash of 1 Pa·s takes about 20 s. */
export const SIMULATED_CUP: FunnelConstants = { k: 0.05, c: 0.02 };

/** The played cup runs so much faster than a real one, so that nobody sits and watches. */
export const CUP_TIMES_FASTER = 20;

/** More than this nobody waits for, s. */
const LONGEST_SECONDS = 3_000;
/** Relative scatter of one run. */
const SCATTER = 0.03;

export const emptyCup: SimulatedCup = { runsSeconds: null, startedAt: 0 };

/**
 * Seconds a wash runs: t from η ⁄ ρ = k t − c ⁄ t, t = (η ⁄ ρ + √((η ⁄ ρ)² + 4 k c)) ⁄ 2k. Of 2 Pa·s and 1.02 g/mL with
 * k = 0.05 and c = 0.02 it is 39.2 s.
 */
export function flowSeconds({ k, c }: FunnelConstants, pascalSeconds: number, density: number): number {
  const kinematic = pascalSeconds / density;
  return (kinematic + Math.sqrt(kinematic ** 2 + 4 * k * c)) / (2 * k);
}

/**
 * The cup is filled and let run.
 * @param scatter Normal, mean 0 and deviation 1, drawn by the caller.
 */
export function filledCup(
  { pascalSeconds, density }: { readonly pascalSeconds: number; readonly density: number },
  now: number,
  scatter: number,
): SimulatedCup {
  const seconds = flowSeconds(SIMULATED_CUP, pascalSeconds, density) * (1 + SCATTER * scatter);
  return { runsSeconds: Math.min(LONGEST_SECONDS, Math.max(0.1, seconds)), startedAt: now };
}

/** The line it sends at a moment: the running seconds, then the time it took, marked as standing. Nothing while empty. */
export function cupLine({ runsSeconds, startedAt }: SimulatedCup, now: number): string | null {
  if (runsSeconds === null) return null;
  const ran = (Math.max(0, now - startedAt) / 1000) * CUP_TIMES_FASTER;
  if (ran < runsSeconds) return `U ${ran.toFixed(1)} s`;
  return runsSeconds >= LONGEST_SECONDS ? "OL" : `S ${runsSeconds.toFixed(1)} s`;
}
