import type { LineReading } from "./readLine.ts";

export interface RecipePhase {
  /** Letter. */
  readonly id: string;
  readonly title: string;
  /** °C; null where the recipe says nothing. */
  readonly temperatureC: number | null;
}

/** A row of the recipe as its phases see it. */
export interface PhaseRow {
  readonly text: string;
  readonly reading: LineReading;
  /** It names something that goes in. */
  readonly isIngredient: boolean;
}

const LETTERS = [..."ABCDEFGHIJKLMNOPQRSTUVWXYZ"];

/** Hotter or colder than this is no temperature of a phase, °C. */
const COLDEST_C = 1;
const HOTTEST_C = 120;

const TEMPERATURE =
  /(\d{1,3}(?:[.,]\d)?)(?:\s?(?:-|–|—|to)\s?(\d{1,3}(?:[.,]\d)?))?\s?(?:(?:°|º|deg(?:rees?)?\.?)\s?([CF])?|([CF])\b)(?:elsius|ahrenheit)?/iu;
const NAMES_PHASES = /\bphases?\s+((?:[A-Z]\b(?:\s*(?:,|and|&|\+)\s*)?)+)/gu;
const HEATS = /\b(?:heat|warm|bring|melt|keep|cool)/iu;

/** The temperature a text names, °C; the middle of a range; null where it names none. "160 °F" is 71.1 °C. */
export function temperatureIn(text: string): number | null {
  const [found, low, high, sign, letter] = TEMPERATURE.exec(text) ?? [];
  if (found === undefined || low === undefined) return null;
  const numbers = [low, high ?? low].map((written) => Number(written.replace(",", ".")));
  const middle = ((numbers[0] ?? 0) + (numbers[1] ?? 0)) / 2;
  const celsius = (sign ?? letter ?? "C").toUpperCase() === "F" ? ((middle - 32) * 5) / 9 : middle;
  return celsius >= COLDEST_C && celsius <= HOTTEST_C ? Math.round(celsius * 10) / 10 : null;
}

/**
 * The phases of a recipe and the letter of each row: by its headings, else by the blank lines between its groups. A
 * temperature in a heading, beside an ingredient or in a sentence that names the phase becomes the phase's.
 */
export function phasesOf(rows: readonly PhaseRow[]): { readonly phases: readonly RecipePhase[]; readonly letters: readonly string[] } {
  const hasHeadings = rows.some(({ reading }) => reading.kind === "phase");
  const { letters, titles } = hasHeadings ? byHeadings(rows) : { letters: byBlanks(rows), titles: [] };
  const temperatures = new Map<string, number>();
  const learn = (letter: string, text: string): void => {
    const celsius = temperatureIn(text);
    if (celsius !== null && !temperatures.has(letter)) temperatures.set(letter, celsius);
  };
  rows.forEach(({ text, reading, isIngredient }, at) => {
    if (reading.kind === "phase" || isIngredient) learn(letters[at] ?? "A", text);
    else if (HEATS.test(text)) for (const letter of namedPhases(text, titles)) learn(letter, text);
  });
  const used = [...new Set([...titles.map(({ id }) => id), ...letters.filter((_, at) => rows[at]?.isIngredient)])].sort();
  return {
    letters,
    phases: used.map((id) => ({
      id,
      title: titles.find((titled) => titled.id === id)?.title ?? "",
      temperatureC: temperatures.get(id) ?? null,
    })),
  };
}

interface Titled {
  readonly id: string;
  readonly title: string;
}

function byHeadings(rows: readonly PhaseRow[]): { readonly letters: readonly string[]; readonly titles: readonly Titled[] } {
  const titles: Titled[] = [];
  let letter = "A";
  const letters = rows.map(({ reading }) => {
    if (reading.kind !== "phase") return letter;
    letter = reading.letter ?? LETTERS.find((free) => !titles.some(({ id }) => id === free)) ?? "Z";
    if (!titles.some(({ id }) => id === letter)) titles.push({ id: letter, title: reading.title });
    return letter;
  });
  return { letters, titles };
}

/** Groups of at least two ingredients between blank lines are phases; a blank after every line parts nothing. */
function byBlanks(rows: readonly PhaseRow[]): readonly string[] {
  const groups: number[][] = [];
  let isParted = true;
  rows.forEach(({ reading, isIngredient }, at) => {
    if (reading.kind === "blank") isParted = true;
    if (!isIngredient) return;
    if (isParted) groups.push([]);
    isParted = false;
    groups.at(-1)?.push(at);
  });
  const single = groups.filter((group) => group.length === 1).length;
  if (groups.length < 2 || single * 2 > groups.length) return rows.map(() => "A");
  const letters = rows.map(() => "A");
  groups.forEach((group, index) => {
    for (const at of group) letters[at] = LETTERS[index] ?? "Z";
  });
  return letters;
}

function namedPhases(text: string, titles: readonly Titled[]): readonly string[] {
  const byLetter = [...text.matchAll(NAMES_PHASES)].flatMap(([, named = ""]) => named.match(/[A-Z]\b/gu) ?? []);
  const plain = text.toLowerCase();
  const byTitle = titles.flatMap(({ id, title }) => (/\bphase\b/iu.test(title) && plain.includes(title.toLowerCase()) ? [id] : []));
  return [...new Set([...byLetter, ...byTitle])];
}
