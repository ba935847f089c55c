import type { MaterialsBySlug } from "../../library/material.ts";
import { interiorMean } from "../../numerics/hitAndRun.ts";
import type { LinearSolver, Polytope, PolytopeRow } from "../../numerics/linearProgram.ts";
import { writtenShort } from "../../quantities/written.ts";
import type { Bounds, PrintedList } from "./printedList.ts";
import { reconcile, type Conflict } from "./reconcile.ts";
import { usualAmounts } from "./usualAmounts.ts";

export interface UnmixedRange {
  readonly name: string;
  /** % w/w. */
  readonly min: number;
  readonly max: number;
  /** An estimate: the middle of all that is possible, seen as equally likely. */
  readonly typical: number;
}

export interface Unmixed {
  /** In the order of the label; empty when nothing suits the list. */
  readonly ranges: readonly UnmixedRange[];
  readonly feasible: boolean;
  /** Whether the typical values have settled. */
  readonly converged: boolean;
  readonly text: string;
}

const SEED = 20_26;

/**
 * Percentages behind a printed ingredient list: descending order, the 1 % line, sum 100, what is typed, and usual doses
 * of the names the library knows. Least and most of each by linear programming, a typical value from the inside by
 * sampling. Usual doses that contradict the list give way and are named; a list that contradicts itself is explained.
 * Deterministic for a seed.
 */
export function unmix(
  list: PrintedList,
  library: MaterialsBySlug,
  solver: LinearSolver,
  { seed = SEED }: { readonly seed?: number } = {},
): Unmixed {
  const usual = usualAmounts(library);
  const bounds = list.ingredients.map(({ name, min, max }): Bounds => {
    const known = usual(name);
    const low = min ?? (known !== null && known.low <= (max ?? 100) ? known.low : 0);
    const high = max ?? (known !== null && known.high >= (min ?? 0) ? known.high : 100);
    return { min: low, max: high, minFrom: sourceOf(min, low, 0), maxFrom: sourceOf(max, high, 100) };
  });
  const { resolved, givenUp, conflict } = sedimentationBounds(list, bounds);
  if (conflict !== null) return { ranges: [], feasible: false, converged: false, text: conflictText(conflict) };
  const polytope = polytopeOf(list, resolved);
  const extremes = solver.extremes(polytope);
  if (!extremes.found) throw new Error("A list that can be reconciled has percentages");
  const { mean, converged } = interiorMean(polytope, extremes.corners, seed);
  const ranges = list.ingredients.map(({ name }, at): UnmixedRange => {
    const min = extremes.corners[2 * at]![at]!;
    const max = extremes.corners[2 * at + 1]![at]!;
    return { name, min, max, typical: Math.min(max, Math.max(min, mean[at]!)) };
  });
  return { ranges, feasible: true, converged, text: textOf(list, ranges, givenUp, converged) };
}

function sourceOf(typed: number | undefined, value: number, free: number): Bounds["minFrom"] {
  if (typed !== undefined) return "typed";
  return value === free ? "none" : "library";
}

/** Drops usual doses until the list can be reconciled; what is typed and what is printed stays. */
function sedimentationBounds(
  list: PrintedList,
  bounds: readonly Bounds[],
): { readonly resolved: readonly Bounds[]; readonly givenUp: readonly number[]; readonly conflict: Conflict | null } {
  const resolved = [...bounds];
  const givenUp = new Set<number>();
  // Each round drops at least one of finitely many bounds.
  for (let round = 0; round <= 2 * bounds.length; round += 1) {
    const result = reconcile(list, resolved);
    if (result.feasible) return { resolved, givenUp: [...givenUp].sort((a, b) => a - b), conflict: null };
    const { libraryMins, libraryMaxs } = result.conflict;
    if (libraryMins.length + libraryMaxs.length === 0) return { resolved, givenUp: [], conflict: result.conflict };
    for (const at of libraryMins) resolved[at] = { ...resolved[at]!, min: 0, minFrom: "none" };
    for (const at of libraryMins.length > 0 ? [] : libraryMaxs) resolved[at] = { ...resolved[at]!, max: 100, maxFrom: "none" };
    for (const at of libraryMins.length > 0 ? libraryMins : libraryMaxs) givenUp.add(at);
  }
  throw new Error("Bounds ran out before the list was reconciled");
}

function polytopeOf({ ingredients, onePercentLineAfter }: PrintedList, bounds: readonly Bounds[]): Polytope {
  const count = ingredients.length;
  const last = onePercentLineAfter ?? count - 1;
  const rows: PolytopeRow[] = [{ indices: ingredients.map((_, at) => at), values: ingredients.map(() => 1), lower: 100, upper: 100 }];
  for (let at = 0; at < last; at += 1) rows.push({ indices: [at, at + 1], values: [1, -1], lower: 0, upper: Infinity });
  const beforeLine = (at: number): boolean => onePercentLineAfter !== null && at <= last;
  return {
    lower: bounds.map(({ min }, at) => (beforeLine(at) ? Math.max(min, 1) : min)),
    upper: bounds.map(({ max }, at) => (at > last ? Math.min(max, 1) : max)),
    rows,
  };
}

function conflictText({ demands }: Conflict): string {
  return `No percentages suit this list. Two demands exclude each other: ${demands.join(", and ")}.`;
}

/** So many ingredients are named in the text; the ranges tell the rest. */
const TOLD = 3;

function textOf({ ingredients }: PrintedList, ranges: readonly UnmixedRange[], givenUp: readonly number[], converged: boolean): string {
  const told = ranges
    .slice(0, TOLD)
    .map(
      ({ name, min, max, typical }) =>
        `${name} ${writtenShort(min, 1)} to ${writtenShort(max, 1)} %, typically ${writtenShort(typical, 1)} %`,
    );
  const sidePanel = givenUp.map((at) => ingredients[at]!.name);
  const sentences = [
    `An estimate from the order alone: ${told.join("; ")}.`,
    ...(sidePanel.length > 0 ? [`The list contradicts the usual dose of ${sidePanel.join(", ")}, which was set aside.`] : []),
    ...(converged ? [] : ["The typical values have not settled; take them as rough."]),
  ];
  return sentences.join(" ");
}
