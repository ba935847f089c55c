import type { KitchenUnit } from "../quantities/kitchenMeasures.ts";

/** Units of a recipe's amounts; "bare" is a number without one. */
export type RecipeUnit = KitchenUnit | "percent" | "part" | "bare";

/** Things that are counted beside numbers but are no amount of material. */
export type OtherUnit = "not-an-amount";

const WORDS: readonly (readonly [string, RecipeUnit | OtherUnit])[] = [
  [String.raw`%(?:\s?w\/w)?|per ?cent|pct\.?`, "percent"],
  [String.raw`milligrams?|mg`, "mg"],
  [String.raw`kilograms?|kilos?|kg`, "kg"],
  [String.raw`grammes?|grams?|gr\.?|gms?\.?|g\.?`, "g"],
  [String.raw`fl\.?\s?oz\.?|fluid ounces?`, "fl-oz"],
  [String.raw`ounces?|oz\.?`, "oz"],
  [String.raw`pounds?|lbs?\.?`, "lb"],
  [String.raw`millilit(?:re|er)s?|mls?|cc`, "ml"],
  [String.raw`lit(?:re|er)s?|l`, "l"],
  [String.raw`tablespoons?|tablespoonfuls?|tbsps?\.?|tbls?\.?|tbs\.?|eetlepels?`, "tbsp"],
  [String.raw`teaspoons?|teaspoonfuls?|tsps?\.?`, "tsp"],
  [String.raw`cups?`, "cup"],
  [String.raw`pints?|pts?\.?`, "pint"],
  [String.raw`quarts?|qts?\.?`, "quart"],
  [String.raw`gallons?|gals?\.?`, "gallon"],
  [String.raw`drops?|gtts?\.?`, "drop"],
  [String.raw`pinch(?:es)?|sprinkles?`, "pinch"],
  [String.raw`dash(?:es)?`, "dash"],
  [String.raw`parts?`, "part"],
  [String.raw`bars?|pieces?`, "piece"],
  [
    String.raw`°\s?[cf]?|degrees?|deg\.?|minutes?|mins?\.?|hours?|hrs?\.?|h|seconds?|secs?\.?|days?|weeks?|months?|rpm|bottles?|eo|mm|cm`,
    "not-an-amount",
  ],
];

const byWord = WORDS.map(([source, unit]) => [new RegExp(`^(?:${source})$`, "i"), unit] as const);

/** Any unit, for use inside a longer expression. A single capital T is a tablespoon, a small t a teaspoon. */
export const UNIT_SOURCE = `${WORDS.map(([source]) => source).join("|")}|T(?=\\s)|t(?=\\s)|C(?=\\s*$)`;

/** The unit a word stands for. */
export function unitOf(word: string): RecipeUnit | OtherUnit {
  if (word === "T") return "tbsp";
  if (word === "t") return "tsp";
  if (word === "C") return "not-an-amount";
  return byWord.find(([pattern]) => pattern.test(word))?.[1] ?? "bare";
}
