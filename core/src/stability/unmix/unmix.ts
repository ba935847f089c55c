import type { MaterialsBySlug, Span } from "../../library/material.ts";
import { interiorWalk } from "../../numerics/hitAndRun.ts";
import type { LinearSolver, Polytope, PolytopeRow } from "../../numerics/linearProgram.ts";
import { quantileOfSorted } from "../../numerics/quantiles.ts";
import { randomFrom } from "../../numerics/random.ts";
import { writtenShort } from "../../quantities/written.ts";
import type { Bounds, PrintedList } from "./printedList.ts";
import { phScales, type FittingPh, type KnownPh } from "./phKnowledge.ts";
import { reconcile, type Conflict } from "./reconcile.ts";
import { isWaterName, usualAmounts } from "./usualAmounts.ts";

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
/** Of what was walked past, so much lies below and above what is told of a sum, 0 to 1. */
const OUTSIDE = 0.05;
/** Every so manieth point counts for it: neighbours are alike. */
const EVERY = 7;

/** How far a list is read. */
export interface Unmixing extends Unmixed {
  /** 0 to 1. */
  readonly done: number;
  /** Gelman and Rubin's factor of the four chains; 1 is perfect, null before they began. */
  readonly spread: number | null;
  readonly samples: number;
  /** The sum of what was asked for, nine times of ten; null before the chains began, or where nothing was asked for. */
  readonly watched: { readonly low: number; readonly high: number } | null;
  /** What the pH that was read says of the recipes; null where none was given, or before the chains began. */
  readonly byPh: FittingPh | null;
  /** The demands that contradict each other, as few as do; empty where none do. */
  readonly contradicts: readonly string[];
}

interface UnmixingOptions {
  readonly seed?: number;
  /** A weight for each ingredient, of a sum that is wanted, as that of what cleans. */
  readonly watch?: readonly number[];
  readonly ph?: KnownPh;
}

/**
 * Percentages behind a printed ingredient list: descending order, the 1 % line, sum 100, what is typed, dry matter, and usual
 * doses of the names the library knows. Least and most of each by linear programming, a typical value from the inside by
 * sampling. Usual doses that contradict the list give way and are named; a list that contradicts itself is explained.
 * Deterministic for a seed.
 */
export function unmix(
  list: PrintedList,
  library: MaterialsBySlug,
  solver: LinearSolver,
  { seed = SEED }: { readonly seed?: number } = {},
): Unmixed {
  let last: Unmixed | null = null;
  for (const { ranges, feasible, converged, text } of unmixing(list, usualAmounts(library), solver, { seed }))
    last = { ranges, feasible, converged, text };
  if (last === null) throw new Error("Reading a list yields at least once");
  return last;
}

/**
 * The same step by step: first the ranges with a coarse middle, that of the corners, then with the middle of more and more
 * points, until the chains agree.
 * @param usual Usual amount of a name; null where nobody knows it.
 */
export function* unmixing(
  list: PrintedList,
  usual: (name: string) => Span | null,
  solver: LinearSolver,
  { seed = SEED, watch, ph }: UnmixingOptions = {},
): Generator<Unmixing> {
  const bounds = list.ingredients.map(({ name, min, max }): Bounds => {
    const known = usual(name);
    const low = min ?? (known !== null && known.low <= (max ?? 100) ? known.low : 0);
    const high = max ?? (known !== null && known.high >= (min ?? 0) ? known.high : 100);
    return { min: low, max: high, minFrom: sourceOf(min, low, 0), maxFrom: sourceOf(max, high, 100) };
  });
  const nothing = { ranges: [], feasible: false, converged: false, done: 1, spread: null, samples: 0, watched: null, byPh: null };
  const { resolved, givenUp, conflict } = sedimentationBounds(list, bounds);
  if (conflict !== null) {
    const contradicts = smallestContradiction(list, bounds, solver);
    yield { ...nothing, contradicts, text: conflictText(conflict) };
    return;
  }
  const whole = polytopeOf(list, resolved);
  // A bottle of another strength may bring less water than ours: where that leaves nothing, it is not held against the list.
  const isWatered = list.broughtWater !== undefined && solver.isPossible(whole);
  const polytope = list.broughtWater === undefined || isWatered ? whole : polytopeOf({ ...list, broughtWater: [] }, resolved);
  const extremes = solver.extremes(polytope);
  if (!extremes.found) {
    if (list.dryMatter === undefined && list.together === undefined) throw new Error("A list that can be reconciled has percentages");
    const contradicts = smallestContradiction(list, bounds, solver);
    yield { ...nothing, contradicts, text: `No percentages suit this list. Together these cannot be: ${contradicts.join(", and ")}.` };
    return;
  }
  const { corners } = extremes;
  const rangesAt = (mean: ArrayLike<number>): readonly UnmixedRange[] =>
    list.ingredients.map(({ name }, at) => {
      const [min, max] = [corners[2 * at]![at]!, corners[2 * at + 1]![at]!];
      return { name, min, max, typical: Math.min(max, Math.max(min, mean[at]!)) };
    });
  const coarse = rangesAt(list.ingredients.map((_, at) => corners.reduce((sum, corner) => sum + corner[at]!, 0) / corners.length));
  const found = { feasible: true, contradicts: [] } as const;
  const first = { ranges: coarse, converged: false, done: 0, spread: null, samples: 0, watched: null, byPh: null };
  yield { ...found, ...first, text: textOf(list, coarse, givenUp, false) };
  const sums: number[] = [];
  const scales = ph === undefined ? null : phScales(ph, randomFrom(seed));
  let points = 0;
  const onPoint = (point: Float64Array): void => {
    points += 1;
    scales?.weigh(point);
    if (watch !== undefined && points % EVERY === 0) sums.push(watch.reduce((sum, weight, at) => sum + weight * point[at]!, 0));
  };
  for (const { mean, converged, done, spread, samples } of interiorWalk(polytope, corners, seed, onPoint)) {
    const byPh = scales?.state() ?? null;
    const ranges = rangesAt(scales !== null && byPh?.isUsed === true ? scales.mean() : mean);
    const sorted = Float64Array.from(sums).sort();
    const watched = sorted.length === 0 ? null : { low: quantileOfSorted(sorted, OUTSIDE), high: quantileOfSorted(sorted, 1 - OUTSIDE) };
    yield {
      ...found,
      ranges,
      converged,
      done: converged ? 1 : done,
      spread,
      samples,
      watched,
      byPh,
      text: textOf(list, ranges, givenUp, converged),
    };
  }
}

/** Most demands that are tried two by two; a list with more of them is thinned from its end. */
const MOST_PAIRS = 24;

/**
 * The fewest demands of the maker that contradict each other and the printed order: one alone, else two, else what is left when
 * every demand that can be spared is taken away (deletion filter, Chinneck and Dravnieks 1991). Usual doses are no demands.
 */
function smallestContradiction(list: PrintedList, bounds: readonly Bounds[], solver: LinearSolver): readonly string[] {
  const demands = demandsOf(list, bounds);
  const clash = (kept: readonly Demand[]): boolean =>
    !solver.isPossible(
      polytopeOf(
        listWith(list, kept),
        boundsWith(bounds, kept),
        kept.some(({ of }) => of === "line"),
      ),
    );
  const alone = demands.find((demand) => clash([demand]));
  if (alone !== undefined) return [alone.words];
  const few = demands.length <= MOST_PAIRS ? demands : [];
  for (const [at, first] of few.entries()) {
    const second = few.slice(at + 1).find((other) => clash([first, other]));
    if (second !== undefined) return [first.words, second.words];
  }
  let kept = demands;
  for (const demand of demands) {
    const without = kept.filter((one) => one !== demand);
    if (clash(without)) kept = without;
  }
  return kept.map(({ words }) => words);
}

interface Demand {
  readonly of: number | "line" | "dry" | "together";
  readonly end: "min" | "max" | "both" | null;
  readonly words: string;
}

/** Ends closer than this part of each other are one number that somebody said. */
const SAME = 0.03;

function demandsOf({ ingredients, onePercentLineAfter, dryMatter, together }: PrintedList, bounds: readonly Bounds[]): readonly Demand[] {
  const typed = bounds.flatMap(({ min, max, minFrom, maxFrom }, at): readonly Demand[] => {
    const name = ingredients[at]!.name;
    if (minFrom === "typed" && maxFrom === "typed" && max - min <= SAME * max) {
      return [{ of: at, end: "both", words: `${name} is ${writtenShort((min + max) / 2, 3)} %` }];
    }
    return [
      ...(minFrom === "typed" ? [{ of: at, end: "min", words: `${name} is at least ${writtenShort(min, 3)} %` } as const] : []),
      ...(maxFrom === "typed" ? [{ of: at, end: "max", words: `${name} is at most ${writtenShort(max, 3)} %` } as const] : []),
    ];
  });
  const line = onePercentLineAfter === null ? undefined : ingredients[onePercentLineAfter]?.name;
  const others: Demand[] = [];
  if (line !== undefined) others.push({ of: "line", end: null, words: `the 1 % line stands after ${line}` });
  if (dryMatter !== undefined) {
    others.push({ of: "dry", end: null, words: `${writtenShort(dryMatter.percent, 1)} % of it stay when it is dried` });
  }
  if (together !== undefined) {
    const { what, low, high } = together;
    others.push({ of: "together", end: null, words: `${what} is ${writtenShort(low, 1)} to ${writtenShort(high, 1)} %` });
  }
  return [...typed, ...others];
}

function listWith(list: PrintedList, kept: readonly Demand[]): PrintedList {
  const { dryMatter: _, together: __, broughtWater: ___, ...rest } = list;
  const sum = kept.some(({ of }) => of === "together") && list.together !== undefined ? { together: list.together } : {};
  const dry = kept.some(({ of }) => of === "dry") && list.dryMatter !== undefined ? { dryMatter: list.dryMatter } : {};
  return { ...rest, ...dry, ...sum };
}

function boundsWith(bounds: readonly Bounds[], kept: readonly Demand[]): readonly Bounds[] {
  return bounds.map((bound, at) => {
    const has = (end: "min" | "max"): boolean => kept.some((demand) => demand.of === at && (demand.end === end || demand.end === "both"));
    return { ...bound, min: has("min") ? bound.min : 0, max: has("max") ? bound.max : 100 };
  });
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

/** @param isLineHeld Whether what stands before the 1 % line is at least 1 %, and what stands after it at most. */
function polytopeOf(
  { ingredients, onePercentLineAfter, dryMatter, together, broughtWater = [] }: PrintedList,
  bounds: readonly Bounds[],
  isLineHeld = true,
): Polytope {
  const count = ingredients.length;
  const last = onePercentLineAfter ?? count - 1;
  const rows: PolytopeRow[] = [{ indices: ingredients.map((_, at) => at), values: ingredients.map(() => 1), lower: 100, upper: 100 }];
  for (let at = 0; at < last; at += 1) rows.push({ indices: [at, at + 1], values: [1, -1], lower: 0, upper: Infinity });
  if (dryMatter !== undefined) {
    const dry = ingredients.flatMap(({ name }, at) => (isWaterName(name) ? [] : [at]));
    const { percent, spread } = dryMatter;
    rows.push({ indices: dry, values: dry.map(() => 1), lower: Math.max(0, percent - spread), upper: Math.min(100, percent + spread) });
  }
  if (together !== undefined) {
    const { places, low, high } = together;
    rows.push({ indices: places, values: places.map(() => 1), lower: low, upper: high });
  }
  const water = ingredients.findIndex(({ name }) => isWaterName(name));
  if (water !== -1 && broughtWater.some((part) => part > 0)) {
    const bringing = ingredients.flatMap((_, at) => ((broughtWater[at] ?? 0) > 0 && at !== water ? [at] : []));
    rows.push({
      indices: [water, ...bringing],
      values: [1, ...bringing.map((at) => -(broughtWater[at] ?? 0))],
      lower: 0,
      upper: Infinity,
    });
  }
  const beforeLine = (at: number): boolean => isLineHeld && onePercentLineAfter !== null && at <= last;
  return {
    lower: bounds.map(({ min }, at) => (beforeLine(at) ? Math.max(min, 1) : min)),
    upper: bounds.map(({ max }, at) => (isLineHeld && at > last ? Math.min(max, 1) : max)),
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
