import { solveLinear } from "./solveLinear.ts";

export type Solved<Value> =
  { readonly found: true; readonly value: Value; readonly iterations: number } | { readonly found: false; readonly reason: string };

/** Residuals of a system and how they change with each unknown (rows are residuals). */
export interface System {
  readonly residuals: readonly number[];
  readonly jacobian: readonly (readonly number[])[];
}

const MOST_STEPS = 200;
const MOST_HALVINGS = 30;
/** A residual this small is rounding. */
const EXACT = 2e-12;
/** Where no step gains any more, this is still an answer. */
const GOOD_ENOUGH = 1e-10;

/**
 * Solves f(x) = 0 by Newton steps, halved until the residuals shrink (Dennis and Schnabel 1983, ch. 6).
 * Residuals must be of order 1 in the unknowns; the answer is good to about 1e-10.
 */
export function newton(system: (unknowns: readonly number[]) => System, start: readonly number[]): Solved<readonly number[]> {
  let unknowns = start;
  let { residuals, jacobian } = system(unknowns);
  let size = norm(residuals);
  for (let step = 0; step < MOST_STEPS; step += 1) {
    if (!Number.isFinite(size)) return { found: false, reason: "the numbers ran out of range" };
    if (size <= EXACT) return { found: true, value: unknowns, iterations: step };
    const direction = solveLinear(
      jacobian,
      residuals.map((value) => -value),
    );
    if (direction === null) return { found: false, reason: "the equations hang together too loosely" };
    let length = 1;
    let next = moved(unknowns, direction, length);
    let tried = system(next);
    for (let halving = 0; halving < MOST_HALVINGS && !(norm(tried.residuals) < size * (1 - 1e-4 * length)); halving += 1) {
      length /= 2;
      next = moved(unknowns, direction, length);
      tried = system(next);
    }
    if (!(norm(tried.residuals) < size)) break;
    unknowns = next;
    ({ residuals, jacobian } = tried);
    size = norm(residuals);
  }
  return size <= GOOD_ENOUGH
    ? { found: true, value: unknowns, iterations: MOST_STEPS }
    : { found: false, reason: "no step brings the equations closer to balance" };
}

function norm(values: readonly number[]): number {
  return Math.sqrt(values.reduce((sum, value) => sum + value * value, 0));
}

function moved(from: readonly number[], direction: readonly number[], length: number): readonly number[] {
  return from.map((value, k) => value + length * direction[k]!);
}
