import { writtenShort } from "../../quantities/written.ts";
import type { Bounds, PrintedList } from "./printedList.ts";

/** Whether any percentages suit a list, and if not, which two demands exclude each other. */
export type Reconciled = { readonly feasible: true } | { readonly feasible: false; readonly conflict: Conflict };

export interface Conflict {
  /** The two demands, in words. */
  readonly demands: readonly [string, string];
  /** Ingredients whose bounds from the library take part: what can be given up. */
  readonly libraryMins: readonly number[];
  readonly libraryMaxs: readonly number[];
}

const WHOLE = 100;
const ONE = 1;
const NOISE = 1e-9;

interface Demand {
  readonly value: number;
  readonly words: string;
  /** Ingredient whose library bound it is; null for what cannot be given up. */
  readonly library: number | null;
}

/**
 * Checks a list: what each ingredient must at least be (its own least, that of any later one in descending order, 1 %
 * before the line) against what it may at most be, and their sums against 100 %. For a descending list that is exact.
 */
export function reconcile({ ingredients, onePercentLineAfter }: PrintedList, bounds: readonly Bounds[]): Reconciled {
  const last = onePercentLineAfter ?? ingredients.length - 1;
  const least: Demand[] = [];
  const most: Demand[] = [];
  const nameOf = (at: number): string => ingredients[at]!.name;
  for (let at = 0; at < ingredients.length; at += 1) {
    const { max, maxFrom } = bounds[at]!;
    let top: Demand = {
      value: max,
      words: `${nameOf(at)} is at most ${writtenShort(max, 3)} %${sourceWords(maxFrom)}`,
      library: maxFrom === "library" ? at : null,
    };
    const before = most[at - 1];
    if (at > 0 && at <= last && before !== undefined && before.value < top.value) top = before;
    if (at > last && top.value > ONE) top = { value: ONE, words: `${nameOf(at)} stands after the 1 % line`, library: null };
    most.push(top);
  }
  for (let at = ingredients.length - 1; at >= 0; at -= 1) {
    const { min, minFrom } = bounds[at]!;
    let bottom: Demand = {
      value: min,
      words: `${nameOf(at)} is at least ${writtenShort(min, 3)} %${sourceWords(minFrom)}`,
      library: minFrom === "library" ? at : null,
    };
    const after = at < last ? least[at + 1] : undefined;
    if (after !== undefined && after.value > bottom.value) bottom = after;
    if (onePercentLineAfter !== null && at <= last && bottom.value < ONE)
      bottom = { value: ONE, words: `${nameOf(at)} stands before the 1 % line`, library: null };
    least[at] = bottom;
  }
  for (let at = 0; at < ingredients.length; at += 1) {
    const [low, high] = [least[at]!, most[at]!];
    if (low.value > high.value + NOISE) return clash([low.words, high.words], [low], [high]);
  }
  const low = least.reduce((sum, { value }) => sum + value, 0);
  if (low > WHOLE + NOISE) return clash([`together they are at least ${writtenShort(low, 3)} %`, "together they are 100 %"], least, []);
  const high = most.reduce((sum, { value }) => sum + value, 0);
  if (high < WHOLE - NOISE) return clash([`together they are at most ${writtenShort(high, 3)} %`, "together they are 100 %"], [], most);
  return { feasible: true };
}

function sourceWords(source: Bounds["minFrom"]): string {
  return source === "library" ? " (usual dose)" : "";
}

function clash(demands: readonly [string, string], mins: readonly Demand[], maxs: readonly Demand[]): Reconciled {
  const of = (list: readonly Demand[]): readonly number[] => [
    ...new Set(list.flatMap(({ library }) => (library === null ? [] : [library]))),
  ];
  return { feasible: false, conflict: { demands, libraryMins: of(mins), libraryMaxs: of(maxs) } };
}
