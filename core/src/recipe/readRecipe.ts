import type { Material } from "../library/material.ts";
import type { Amount } from "./amounts.ts";
import { batchOf, columnsOf, meant, type Columns } from "./columns.ts";
import { ingredientList } from "./ingredientList.ts";
import { phasesOf, type RecipePhase } from "./phases.ts";
import { readLine, type LineReading } from "./readLine.ts";
import { recogniserOf, type Recognised, type Recogniser, type Sureness } from "./recognise.ts";
import { namedInProse, splitRows } from "./rows.ts";

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
  /** Slugs of what it could be, the likeliest first, where it is not taken for one. */
  readonly offers: readonly string[];
  readonly amount: Amount | null;
  /** Strength the name carries in percent, as in "betaine 30 %, 20 g". */
  readonly strengthPercent: number | null;
  /** The strength says what was made of the material, not what its bottle holds: "20 % citric acid solution". */
  readonly isSolution: boolean;
  readonly takesTheRest: boolean;
  /** Letter of its phase. */
  readonly phase: string;
  /** Remarks in the line that are no amount and no name. */
  readonly note: string;
}

export interface Recipe {
  readonly lines: readonly RecipeLine[];
  /** Grams the recipe says it makes; null where it does not. */
  readonly batchGrams: number | null;
  readonly phases: readonly RecipePhase[];
  /** The recipe itself leaves something open. */
  readonly isOpen: boolean;
  /** It is a printed ingredient list: names in their order, without amounts. */
  readonly isIngredientList: boolean;
}

/**
 * Reads a recipe as people type or paste it, line by line: amounts in any kitchen unit, percent or parts, fractions and
 * decimal commas, lists, columns, "to 100" and "rest water". Says of each line how sure it is and what it could not read.
 */
export function readRecipe(text: string, materials: readonly Material[], recogniser: Recogniser = recogniserOf(materials)): Recipe {
  const names = ingredientList(text, recogniser);
  if (names !== null) return listed(names, recogniser);
  const plain = splitRows(text);
  const first = plain.map(({ text: row }) => readLine(row));
  const isProse = first.every((reading) => reading.kind !== "ingredient" || reading.amounts.length === 0);
  const rows = isProse ? plain.flatMap(namedInProse) : plain;
  const texts = rows.map(({ text: row }) => row);
  const readings = rows.every((row, at) => row === plain[at]) ? first : texts.map(readLine);
  const columns = columnsOf(texts, readings);
  const titleAt = texts.findIndex((row) => row.trim() !== "");
  const read = readings.map((reading, index): RecipeLine => {
    const { row, text: typed } = rows[index] ?? { row: index + 1, text: "" };
    const line = lineOf(reading, { row, typed, columns, recogniser });
    return index === titleAt && isTitle(line) ? unread(row, typed, "note") : line;
  });
  const { phases, letters } = phasesOf(
    readings.map((reading, at) => ({ text: texts[at] ?? "", reading, isIngredient: read[at]?.kind === "ingredient" })),
  );
  const lines = read.map((line, at) => (letters[at] === line.phase ? line : { ...line, phase: letters[at] ?? FIRST_PHASE }));
  return {
    lines,
    batchGrams: batchOf(readings, texts, columns),
    phases,
    isOpen: lines.some(({ kind }) => kind === "open"),
    isIngredientList: false,
  };
}

/** A row of which nothing is understood yet. */
function unread(row: number, text: string, kind: RecipeLineKind): RecipeLine {
  return {
    row,
    text,
    kind,
    name: "",
    material: null,
    sureness: "unknown",
    offers: [],
    amount: null,
    strengthPercent: null,
    isSolution: false,
    takesTheRest: false,
    phase: FIRST_PHASE,
    note: "",
  };
}

const FIRST_PHASE = "A";

/** A printed list: every name is a line whose amount is yet to be found. */
function listed(names: readonly string[], recogniser: Recogniser): Recipe {
  const lines = names.map((name, at): RecipeLine => {
    const recognised = recogniser(name);
    return { ...unread(at + 1, name, "ingredient"), name, ...recognised };
  });
  return { lines, batchGrams: null, phases: [{ id: "A", title: "", temperatureC: null }], isOpen: false, isIngredientList: true };
}

/** A first line whose only amount stands in brackets is a title: "Whipped cleanser (30 % cleanser)". */
function isTitle({ kind, sureness, text }: RecipeLine): boolean {
  return (
    kind === "ingredient" &&
    sureness === "unknown" &&
    /\([^)]*\d[^)]*\)\s*:?\s*$/u.test(text) &&
    !/\d/u.test(text.replace(/\([^)]*\)/gu, ""))
  );
}

interface Around {
  readonly row: number;
  readonly typed: string;
  readonly columns: Columns;
  readonly recogniser: Recogniser;
}

function lineOf(reading: LineReading, { row, typed, columns, recogniser }: Around): RecipeLine {
  const empty = unread(row, typed, reading.kind);
  if (reading.kind === "open") return ofChoice(reading.name, empty, recogniser);
  if (reading.kind !== "ingredient") return reading.kind === "total" ? { ...empty, amount: reading.amounts[0] ?? null } : empty;
  const { name, takesTheRest, note } = reading;
  const { amount, strengthPercent, isDoubtful } = meant(reading.amounts, columns, reading.isByPh === true);
  const counts = amount !== null && reading.amounts[0]?.unit === "bare" && !columns.isBareSure && columns.hasUnits;
  const called = amount?.unit === "piece" ? `${name} bar` : name;
  const recognised = named(name === "" && takesTheRest ? "water" : called, { strengthPercent, note, recogniser });
  // "½ lemon" beside lines with units counts pieces of what nobody knows.
  const isCount = counts && recognised.material === null;
  const isNothing = (amount === null || isCount) && !takesTheRest;
  if (isNothing && !isCount && (recognised.sureness === "unknown" || recognised.sureness === "guess")) return { ...empty, kind: "note" };
  return {
    ...empty,
    name,
    material: recognised.material,
    sureness: weaker(recognised.sureness, isDoubtful || (name === "" && takesTheRest)),
    offers: recognised.offers,
    amount: isCount ? null : amount,
    strengthPercent,
    isSolution: !recognised.holdsStrength && strengthPercent !== null && SAYS_SOLUTION.test(typed),
    takesTheRest,
    note,
  };
}

/** What the recipe leaves to one's own choice: a line where it names it, an open end where it does not. */
function ofChoice(name: string, empty: RecipeLine, recogniser: Recogniser): RecipeLine {
  const { material, sureness, offers } = recogniser(name);
  if (name === "" || sureness === "unknown" || sureness === "guess") return empty;
  return { ...empty, kind: "ingredient", name, material, sureness, offers };
}

/** "50 % citric acid" and "citric acid solution (50 %)"; "citric acid 50 %" alone is an amount. */
const SAYS_SOLUTION = /\bsolution\b|\bdiluted\b|(?:^|\s)\d+(?:[.,]\d+)?\s?%\s+(?!w\b|of\b)\p{L}/iu;

interface Naming {
  readonly strengthPercent: number | null;
  readonly note: string;
  readonly recogniser: Recogniser;
}

/** A strength belongs to the name when a material is called so, "SLES 70"; so does a remark, "xanthan gum (clear)". */
function named(name: string, { strengthPercent, note, recogniser }: Naming): Recognised & { readonly holdsStrength: boolean } {
  if (strengthPercent !== null) {
    const strong = recogniser(`${name} ${strengthPercent}`);
    if (strong.material !== null) return { ...strong, holdsStrength: true };
  }
  const plain = recogniser(name);
  const isRemark = note !== "" && note.split(/\s/u).length <= LONGEST_REMARK;
  const remarked = isRemark && plain.sureness !== "unknown" ? recogniser(`${note} ${name}`) : plain;
  return { ...(remarked.sureness === "sure" ? remarked : plain), holdsStrength: false };
}

/** A longer remark in brackets is no part of a name, words. */
const LONGEST_REMARK = 2;

function weaker(sureness: Sureness, isDoubtful: boolean): Sureness {
  return isDoubtful && sureness === "sure" ? "likely" : sureness;
}
