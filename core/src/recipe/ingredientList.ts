import { amountsIn } from "./amounts.ts";
import type { Recogniser } from "./recognise.ts";

/** Fewer names are a remark, no list. */
const LEAST_NAMES = 5;
/** So much of a list must be known, 0 to 1. */
const LEAST_KNOWN = 0.5;
/** So much of a list may carry an amount, 0 to 1. */
const MOST_COUNTED = 0.2;
const LONGEST_NAME = 120;
/** A list that is longer is none. */
const LONGEST_LIST = 5_000;

/**
 * The names of a printed ingredient list, parted by commas, in its order; null where the text is none. "Ingredients: Aqua,
 * Coco-Glucoside, Glycerin, …" is one; a recipe with amounts is none.
 */
export function ingredientList(text: string, recogniser: Recogniser): readonly string[] | null {
  if (text.length > LONGEST_LIST) return null;
  const rows = text.split(/\r\n|\r|\n/u).filter((row) => row.trim() !== "");
  const listed = rows.filter((row) => row.split(",").length >= LEAST_NAMES || /^\s*ingredients?\s*:/iu.test(row));
  // A list runs on over several rows; a story around it does not make it a recipe.
  const whole = (listed.length === 0 ? rows : rows.slice(rows.indexOf(listed[0] ?? ""))).join(" ");
  const names = whole
    .replace(/^[^:]{0,40}\bingredients?[^:]{0,20}:/iu, "")
    .replace(/[.\s]+$/u, "")
    .split(/,(?!\d)|;|•|·/u)
    .map((name) => name.replace(/\s+/gu, " ").trim())
    .filter((name) => /\p{L}/u.test(name));
  if (names.length < LEAST_NAMES || names.some((name) => name.length > LONGEST_NAME)) return null;
  const counted = names.filter((name) => amountsIn(name).some(({ unit }) => unit !== "bare")).length;
  const known = names.filter((name) => recogniser(name).sureness === "sure").length;
  return counted <= MOST_COUNTED * names.length && known >= LEAST_KNOWN * names.length ? names : null;
}
