import { NUMBER_SOURCE, readRecipeNumber, WORD_NUMBER_SOURCE } from "./numbers.ts";
import { UNIT_SOURCE, unitOf, type RecipeUnit } from "./units.ts";

/** An amount as it stands in a line. */
export interface Amount {
  readonly value: number;
  /** Upper end of a range, equal to `low` otherwise; `value` is the middle. */
  readonly low: number;
  readonly high: number;
  readonly unit: RecipeUnit;
  /** "about", or a number that could be read in two ways. */
  readonly isRough: boolean;
  /** What is added to it in another unit: the teaspoon of "2 tbsp + 1 tsp". */
  readonly plus?: readonly Measure[];
}

export interface Measure {
  readonly value: number;
  readonly unit: RecipeUnit;
}

export interface PlacedAmount extends Amount {
  readonly start: number;
  readonly end: number;
}

const ABOUT = String.raw`(?:~|≈|ca\.?|circa|approx\.?|approximately|about|around)\s*`;

const AMOUNT = new RegExp(
  String.raw`(?<about>${ABOUT})?(?:(?<low>${NUMBER_SOURCE})(?:\s*(?:-|–|—|\bto\b)\s*(?<high>${NUMBER_SOURCE}))?\s*(?<unit>${UNIT_SOURCE})?|\b(?<word>${WORD_NUMBER_SOURCE})\s+(?<wordUnit>${UNIT_SOURCE}))(?![\p{L}\p{N}])`,
  "giu",
);

/** "pH about " with spaces, characters. */
const LONGEST_HEAD = 24;

/** Letters and digits before or a hyphenated word after make a number part of a name: PEG-40, C14-16, 1,2-hexanediol. */
function belongsToName(text: string, start: number, end: number): boolean {
  // So much is all the patterns look at; a slice of the whole text at every number would take time with its square.
  const before = text.slice(Math.max(0, start - LONGEST_HEAD), start);
  const after = text.slice(end, end + 2);
  return /[\p{L}\p{N}]$|[\p{L}\p{N}][-/.]$|\bpH\s*(?:of|to|is|=|:|about)?\s*$/iu.test(before) || /^[-–/]\p{L}/u.test(after);
}

/** Every amount in a line, from left to right; temperatures, times and numbers inside names are none. */
export function amountsIn(text: string): readonly PlacedAmount[] {
  const found: PlacedAmount[] = [];
  for (const match of text.matchAll(AMOUNT)) {
    const { about, low, high, unit, word, wordUnit } = match.groups ?? {};
    const start = match.index;
    const end = start + match[0].trimEnd().length;
    const meant = unitOf(unit ?? wordUnit ?? "");
    if (meant === "not-an-amount" || belongsToName(text, start, end)) continue;
    const first = readRecipeNumber(low ?? word ?? "");
    const last = high === undefined ? first : readRecipeNumber(high);
    found.push({
      value: (first.value + last.value) / 2,
      low: first.value,
      high: last.value,
      unit: meant,
      isRough: about !== undefined || high !== undefined || first.isDoubtful || last.isDoubtful,
      start,
      end,
    });
  }
  return joined(text, found);
}

const AND = /^\s*(?:\+|&|plus|and)\s*$/iu;

/** Amounts with nothing but "and" between them are one: "20 + 20 g", "2 tbsp and 1 tsp". Percent and parts stay apart. */
function joined(text: string, amounts: readonly PlacedAmount[]): readonly PlacedAmount[] {
  const together: PlacedAmount[] = [];
  for (const amount of amounts) {
    const before = together.at(-1);
    const isOne = before !== undefined && isMeasure(amount) && AND.test(text.slice(before.end, amount.start));
    if (isOne && (before.unit === "bare" || isMeasure(before))) together[together.length - 1] = sumOf(before, amount);
    else together.push(amount);
  }
  return together;
}

const isMeasure = ({ unit }: Measure): boolean => unit !== "percent" && unit !== "part" && unit !== "bare";

function sumOf(one: PlacedAmount, other: PlacedAmount): PlacedAmount {
  const both = { ...one, isRough: one.isRough || other.isRough, end: other.end };
  if (one.unit !== "bare" && one.unit !== other.unit) {
    return { ...both, plus: [...(one.plus ?? []), { value: other.value, unit: other.unit }] };
  }
  return { ...both, unit: other.unit, value: one.value + other.value, low: one.low + other.low, high: one.high + other.high };
}

const COUNT = new RegExp(
  String.raw`(?<![\p{L}\p{N}.,/-])(?<count>${NUMBER_SOURCE}|(?:${WORD_NUMBER_SOURCE})(?=\s))\s*(?:[x×*]\s*|(?:bars?|pieces?|packs?|packets?|sachets?|bags?|bottles?|jars?|tubs?|cubes?|blocks?)\s+(?:of|at|à)\s+)(?<each>${NUMBER_SOURCE})(?=\s*(?:${UNIT_SOURCE})(?![\p{L}\p{N}]))`,
  "giu",
);

/** "two bars of soap (78 g each)": how many, of what, and what each has. */
const EACH = new RegExp(
  String.raw`^(?<count>${NUMBER_SOURCE}|${WORD_NUMBER_SOURCE})\s+(?<what>\p{L}[^()]{0,60}?),?\s*\(?\s*(?:of\s+)?(?<each>${NUMBER_SOURCE})(?<unit>\s*(?:${UNIT_SOURCE}))\s+(?:each|a\s*piece|per\s+\p{L}+)\)?\s*$`,
  "iu",
);

/** "two bars of 78 g" and "2 × 78 g" written as what they come to, 156 g. */
export function withCountsMultiplied(text: string): string {
  const { count = "", what = "", each = "", unit = "" } = EACH.exec(text)?.groups ?? {};
  if (count !== "") {
    const whole = readRecipeNumber(count).value * readRecipeNumber(each).value;
    return `${Number(whole.toPrecision(12))}${unit} ${what.replace(/^(?:bars?|pieces?)\s+of\s+/iu, "bar ")}`;
  }
  return text.replace(COUNT, (_whole: string, ...found: unknown[]) => {
    const { count = "", each = "" } = found.at(-1) as { readonly count?: string; readonly each?: string };
    return String(Number((readRecipeNumber(count).value * readRecipeNumber(each).value).toPrecision(12)));
  });
}
