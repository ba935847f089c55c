import type { Amount } from "./amounts.ts";
import { gramsOfMeasure } from "../quantities/kitchenMeasures.ts";
import { likeWater } from "./likeWater.ts";
import type { LineReading } from "./readLine.ts";
import { unitOf, type RecipeUnit } from "./units.ts";

/** What a number without a unit means here, and whether lines carry percent and grams side by side. */
export interface Columns {
  readonly bareUnit: "percent" | "g" | "part";
  readonly isBareSure: boolean;
  /** Other lines name their units, so that a number without one may only count pieces. */
  readonly hasUnits: boolean;
  readonly isTwo: boolean;
  /** For two bare columns: which stands for what. */
  readonly order: readonly ("percent" | "g")[];
}

type IngredientReading = Extract<LineReading, { kind: "ingredient" }>;

/** What the numbers of a recipe mean, seen together. */
export function columnsOf(texts: readonly string[], readings: readonly LineReading[]): Columns {
  const ingredients = readings.filter((reading): reading is IngredientReading => reading.kind === "ingredient");
  const header = texts.find((_, index) => readings[index]?.kind === "columns");
  const headed = header === undefined ? [] : headerOrder(header);
  const isTwo = headed.length === 2 || areTwoColumns(ingredients);
  const order = headed.length === 0 && isTwo ? bareOrder(ingredients) : headed;
  const bares = ingredients.flatMap(({ amounts }) => (amounts.length === 1 && amounts[0]?.unit === "bare" ? [amounts[0].value] : []));
  const sum = bares.reduce((total, value) => total + value, 0);
  const percents = ingredients.filter(({ amounts }) => amounts.some(({ unit }) => unit === "percent")).length;
  const hasRest = ingredients.some(({ takesTheRest }) => takesTheRest) || readings.some(({ kind }) => kind === "open");
  const first = order[0];
  const hasUnits = bares.length * 2 < ingredients.length;
  if (first !== undefined) return { bareUnit: first, isBareSure: true, hasUnits, isTwo, order };
  const isPercent = Math.abs(sum - 100) < 0.5 || (hasRest && sum < 100) || (percents > 0 && sum < 100);
  return { bareUnit: isPercent ? "percent" : "g", isBareSure: Math.abs(sum - 100) < 0.5, hasUnits, isTwo, order };
}

/** A column of percentages does not exceed this, rounding allowed. */
const PERCENT_LIMIT = 100.5;
/** How far a percent and its grams may differ from the whole they share, through rounding, 0 to 1. */
const COLUMN_TOLERANCE = 0.1;

/** Whether pairs of amounts say the same thing twice: one is the other times a constant. */
function areTwoColumns(ingredients: readonly IngredientReading[]): boolean {
  const ratios = ingredients.flatMap(({ amounts: [first, second] }) =>
    first !== undefined && second !== undefined && first.value > 0 && second.value > 0 ? [second.value / first.value] : [],
  );
  const middle = ratios.toSorted((a, b) => a - b)[Math.floor(ratios.length / 2)];
  if (middle === undefined || ratios.length < 2) return false;
  const fitting = ratios.filter((ratio) => Math.abs(ratio - middle) <= COLUMN_TOLERANCE * middle);
  return fitting.length * 3 >= ratios.length * 2;
}

/** Which of two bare columns is the percent: the one that can be, when only one stays within 100. */
function bareOrder(ingredients: readonly IngredientReading[]): readonly ("percent" | "g")[] {
  const sumOf = (at: number) => ingredients.reduce((sum, { amounts }) => sum + (amounts[at]?.unit === "bare" ? amounts[at].value : 0), 0);
  return sumOf(0) <= PERCENT_LIMIT || sumOf(1) > PERCENT_LIMIT ? ["percent", "g"] : ["g", "percent"];
}

function headerOrder(header: string): readonly ("percent" | "g")[] {
  const words = [...header.matchAll(/%|percent|grams?\b|\bg\b|weight/giu)];
  return words.slice(0, 2).map(([word]) => (unitOf(word) === "percent" ? "percent" : "g"));
}

export interface Meant {
  readonly amount: Amount | null;
  readonly strengthPercent: number | null;
  readonly isDoubtful: boolean;
}

/** Which of a line's amounts is its amount, and which the strength of the bottle. */
export function meant(amounts: readonly Amount[], columns: Columns, isByPh = false): Meant {
  const [first, second] = amounts;
  if (first === undefined) return { amount: null, strengthPercent: null, isDoubtful: false };
  if (isByPh && second === undefined && first.unit === "percent") {
    return { amount: null, strengthPercent: first.value, isDoubtful: false };
  }
  if (second === undefined) {
    const isBare = first.unit === "bare";
    return {
      amount: isBare ? { ...first, unit: columns.bareUnit } : first,
      strengthPercent: null,
      isDoubtful: first.isRough || (isBare && !columns.isBareSure),
    };
  }
  if (columns.isTwo) {
    const typed = amounts.map((amount, index) =>
      amount.unit === "bare" ? { ...amount, unit: columns.order[index] ?? columns.bareUnit } : amount,
    );
    const chosen = typed.find(({ unit }) => unit === "percent") ?? typed[0] ?? first;
    return { amount: chosen, strengthPercent: null, isDoubtful: chosen.isRough };
  }
  // A percent beside another amount is how strong the bottle is.
  const strength = amounts.find(({ unit }) => unit === "percent");
  const amount = amounts.find((each) => each !== strength) ?? first;
  return {
    amount: amount.unit === "bare" ? { ...amount, unit: columns.bareUnit } : amount,
    strengthPercent: strength === undefined || strength === amount ? null : strength.value,
    isDoubtful: amount.isRough || amounts.length > 2 || strength === undefined,
  };
}

/** Grams the recipe says it makes: by its two columns, its total, or the 100 g its rest goes to. A volume counts as water. */
export function batchOf(readings: readonly LineReading[], texts: readonly string[], columns: Columns): number | null {
  const unitAt = ({ unit }: Amount, index: number): Exclude<RecipeUnit, "bare"> =>
    unit === "bare" ? (columns.order[index] ?? columns.bareUnit) : unit;
  const gramsOf = (amounts: readonly Amount[]): number | null => {
    for (const [index, amount] of amounts.entries()) {
      const unit = unitAt(amount, index);
      if (unit === "percent" || unit === "part") continue;
      const mass = gramsOfMeasure(amount.value, unit, { material: likeWater, system: "us" });
      if (mass.found) return mass.grams;
    }
    return null;
  };
  if (columns.isTwo) {
    const pairs = readings.flatMap((reading) => {
      if (reading.kind !== "ingredient") return [];
      const percent = reading.amounts.find((amount, index) => unitAt(amount, index) === "percent")?.value ?? 0;
      const grams = gramsOf(reading.amounts);
      return percent > 0 && grams !== null ? [{ percent, grams }] : [];
    });
    // The largest line carries the least rounding.
    const most = pairs.toSorted((a, b) => b.grams - a.grams)[0];
    if (most !== undefined) return (100 * most.grams) / most.percent;
  }
  for (const reading of readings) {
    const told = reading.kind === "total" ? reading.amounts : reading.kind === "ingredient" && reading.whole ? [reading.whole] : [];
    const grams = gramsOf(told);
    if (grams !== null) return grams;
  }
  const isToHundred = readings.some(
    (reading, at) => reading.kind === "ingredient" && reading.takesTheRest && /100\s?g\b/iu.test(texts[at] ?? ""),
  );
  return isToHundred ? 100 : null;
}
