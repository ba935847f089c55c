import type { Material } from "../library/material.ts";
import { amountsIn, type Amount } from "./amounts.ts";
import { LONGEST_LINE, readLine, withSingleSpaces, type LineReading } from "./readLine.ts";
import { recogniserOf, type Recogniser, type Sureness } from "./recognise.ts";
import { unitOf } from "./units.ts";

export type RecipeLineKind = "ingredient" | "phase" | "total" | "open" | "columns" | "note" | "blank";

/** What was understood of one line as it was typed. */
export interface RecipeLine {
  /** 1 for the first line of the text. */
  readonly row: number;
  readonly text: string;
  readonly kind: RecipeLineKind;
  /** The name as typed; empty where there is none. */
  readonly name: string;
  /** Slug of the material it is taken for. */
  readonly material: string | null;
  readonly sureness: Sureness;
  readonly amount: Amount | null;
  /** Strength the name carries in percent, as in "betaine 30 %, 20 g". */
  readonly strengthPercent: number | null;
  readonly takesTheRest: boolean;
  /** Letter of its phase. */
  readonly phase: string;
  /** Remarks in the line that are no amount and no name. */
  readonly note: string;
  /** What could not be read, in words; empty when all was. */
  readonly notRead: string;
}

export interface Recipe {
  readonly lines: readonly RecipeLine[];
  /** Grams the recipe says it makes; null where it does not. */
  readonly batchGrams: number | null;
  /** Titles of phases by letter. */
  readonly phases: readonly { readonly id: string; readonly title: string }[];
  /** The recipe itself leaves something open. */
  readonly isOpen: boolean;
}

/**
 * Reads a recipe as people type or paste it, line by line: amounts in any kitchen unit, percent or parts, fractions and
 * decimal commas, lists, columns, "to 100" and "rest water". Says of each line how sure it is and what it could not read.
 */
export function readRecipe(text: string, materials: readonly Material[], recogniser: Recogniser = recogniserOf(materials)): Recipe {
  const rows = splitRows(text);
  const readings = rows.map(({ text: row }) => readLine(row));
  const columns = columnsOf(
    rows.map(({ text: row }) => row),
    readings,
  );
  const phases: { id: string; title: string }[] = [];
  let phase = "A";
  const lines = readings.map((reading, index): RecipeLine => {
    if (reading.kind === "phase") {
      phase = reading.letter ?? nextLetter(phases.map(({ id }) => id));
      if (!phases.some(({ id }) => id === phase)) phases.push({ id: phase, title: reading.title });
    }
    const { row, text: typed } = rows[index] ?? { row: index + 1, text: "" };
    return lineOf(reading, { row, typed, phase, columns, recogniser });
  });
  return {
    lines,
    batchGrams: batchOf(readings, lines, columns),
    phases,
    isOpen: lines.some(({ kind }) => kind === "open"),
  };
}

function nextLetter(taken: readonly string[]): string {
  return [..."ABCDEFGHIJKLMNOPQRSTUVWXYZ"].find((letter) => !taken.includes(letter)) ?? "Z";
}

interface Row {
  readonly row: number;
  readonly text: string;
}

/** Several amounts in one line, parted by commas or semicolons, are several lines of the same row. */
function splitRows(text: string): readonly Row[] {
  return text.split(/\r\n|\r|\n/u).flatMap((line, index): Row[] => {
    const parts = withSingleSpaces(line).split(/;\s*|,\s+(?=(?:~\s*)?\d|the rest|rest\b|and\b|½|¼|¾)|\s+\+\s+(?=\d)/iu);
    return parts.length > 1 && parts.every((part) => /\d|½|¼|¾|\brest\b/iu.test(part) && hasName(part))
      ? parts.map((part) => ({ row: index + 1, text: part.replace(/^and\s+/iu, "") }))
      : [{ row: index + 1, text: line }];
  });
}

/** Whether a part of a line says more than an amount; prose, which is read no further, does. */
function hasName(part: string): boolean {
  if (part.length > LONGEST_LINE) return true;
  if (!/\p{L}/u.test(part)) return false;
  let at = 0;
  for (const { start, end } of amountsIn(part)) {
    if (/\p{L}/u.test(part.slice(at, start))) return true;
    at = end;
  }
  return /\p{L}/u.test(part.slice(at));
}

/** What a number without a unit means here, and whether lines carry percent and grams side by side. */
interface Columns {
  readonly bareUnit: "percent" | "g" | "part";
  readonly isBareSure: boolean;
  readonly isTwo: boolean;
  /** For two bare columns: which stands for what. */
  readonly order: readonly ("percent" | "g")[];
}

type IngredientReading = Extract<LineReading, { kind: "ingredient" }>;

function columnsOf(texts: readonly string[], readings: readonly LineReading[]): Columns {
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
  if (first !== undefined) return { bareUnit: first, isBareSure: true, isTwo, order };
  const isPercent = Math.abs(sum - 100) < 0.5 || (hasRest && sum < 100) || (percents > 0 && sum < 100);
  return { bareUnit: isPercent ? "percent" : "g", isBareSure: Math.abs(sum - 100) < 0.5, isTwo, order };
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

interface Around {
  readonly row: number;
  readonly typed: string;
  readonly phase: string;
  readonly columns: Columns;
  readonly recogniser: Recogniser;
}

function lineOf(reading: LineReading, { row, typed, phase, columns, recogniser }: Around): RecipeLine {
  const empty: RecipeLine = {
    row,
    text: typed,
    kind: reading.kind,
    name: "",
    material: null,
    sureness: "unknown",
    amount: null,
    strengthPercent: null,
    takesTheRest: false,
    phase,
    note: "",
    notRead: "",
  };
  if (reading.kind !== "ingredient") return reading.kind === "total" ? { ...empty, amount: reading.amounts[0] ?? null } : empty;
  const { name, takesTheRest, note } = reading;
  const { amount, strengthPercent, isDoubtful } = meant(reading.amounts, columns);
  const asNamed = recogniser(name === "" && takesTheRest ? "water" : withStrength(name, strengthPercent));
  const recognised = asNamed.material === null && strengthPercent !== null ? recogniser(name) : asNamed;
  const isNothing = amount === null && !takesTheRest;
  if (isNothing && (recognised.material === null || recognised.sureness === "guess")) return { ...empty, kind: "note" };
  return {
    ...empty,
    name,
    material: recognised.material,
    sureness: weaker(recognised.sureness, isDoubtful || (name === "" && takesTheRest)),
    amount,
    strengthPercent,
    takesTheRest,
    note,
    notRead: lacking(recognised.material, isNothing),
  };
}

/** A strength belongs to the name when a material is called so: "SLES 70". */
function withStrength(name: string, strengthPercent: number | null): string {
  return strengthPercent === null ? name : `${name} ${strengthPercent}`;
}

function weaker(sureness: Sureness, isDoubtful: boolean): Sureness {
  return isDoubtful && sureness === "sure" ? "likely" : sureness;
}

function lacking(material: string | null, isNothing: boolean): string {
  const missing = [...(material === null ? ["the material"] : []), ...(isNothing ? ["the amount"] : [])];
  return missing.join(" and ");
}

interface Meant {
  readonly amount: Amount | null;
  readonly strengthPercent: number | null;
  readonly isDoubtful: boolean;
}

function meant(amounts: readonly Amount[], columns: Columns): Meant {
  const [first, second] = amounts;
  if (first === undefined) return { amount: null, strengthPercent: null, isDoubtful: false };
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

function batchOf(readings: readonly LineReading[], lines: readonly RecipeLine[], columns: Columns): number | null {
  const unitAt = ({ unit }: Amount, index: number) => (unit === "bare" ? (columns.order[index] ?? columns.bareUnit) : unit);
  const gramsOf = (amounts: readonly Amount[]): number | null => {
    const at = amounts.findIndex((amount, index) => unitAt(amount, index) === "g" || amount.unit === "kg");
    const amount = amounts[at];
    return amount === undefined ? null : amount.unit === "kg" ? amount.value * 1000 : amount.value;
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
    const grams = reading.kind === "total" ? gramsOf(reading.amounts) : null;
    if (grams !== null) return grams;
  }
  return lines.some(({ takesTheRest, text }) => takesTheRest && /100\s?g\b/iu.test(text)) ? 100 : null;
}
