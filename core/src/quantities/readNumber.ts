import { GRAMS_PER_OUNCE } from "./kitchenMeasures.ts";
import { MOST_GRAMS } from "./limits.ts";

/** Why a typed number was not taken. The words for it belong to the screen. */
export type NumberProblem = "empty" | "not-a-number" | "two-marks" | "not-positive" | "negative" | "above-most";

export type ReadNumber =
  { readonly ok: true; readonly value: number } | { readonly ok: false; readonly problem: NumberProblem; readonly most?: number };

const PLAIN_NUMBER = /^[+-]?(\d+\.?\d*|\.\d+)$/;

/**
 * Reads a number as people type it: decimal point or comma, true minus, spaces around it. No exponent, no grouping:
 * "1,200.5" is refused as ambiguous rather than guessed.
 */
export function readNumber(text: string): ReadNumber {
  const plain = text
    .trim()
    .replace(/\u2212/g, "-")
    .replace(/[\s\u00a0\u202f]/g, "");
  if (plain === "") return { ok: false, problem: "empty" };
  const marks = plain.match(/[.,]/g)?.length ?? 0;
  if (marks > 1) return { ok: false, problem: "two-marks" };
  const pointed = plain.replace(",", ".");
  if (!PLAIN_NUMBER.test(pointed)) return { ok: false, problem: "not-a-number" };
  const value = Number(pointed);
  return Number.isFinite(value) ? { ok: true, value } : { ok: false, problem: "not-a-number" };
}

/** Reads a share of the formula, % w/w, 0 to 100. A closing % sign is allowed. */
export function readPercent(text: string): ReadNumber {
  const typed = text.trim();
  const read = readNumber(typed.endsWith("%") ? typed.slice(0, -1) : typed);
  if (!read.ok) return read;
  if (read.value < 0) return { ok: false, problem: "negative" };
  if (read.value > 100) return { ok: false, problem: "above-most", most: 100 };
  return { ok: true, value: read.value === 0 ? 0 : read.value };
}

const GRAMS_PER_UNIT: Readonly<Record<string, number>> = { "": 1, g: 1, kg: 1000, oz: GRAMS_PER_OUNCE };

/** Reads a mass in grams, above 0: "600", "600 g", "1,2 kg", "4 oz". */
export function readMassGrams(text: string): ReadNumber {
  const typed = text.trim();
  const unit = /(?:kg|g|oz)$/i.exec(typed)?.[0] ?? "";
  const factor = GRAMS_PER_UNIT[unit.toLowerCase()] ?? 1;
  const read = readNumber(typed.slice(0, typed.length - unit.length));
  if (!read.ok) return read;
  if (read.value <= 0) return { ok: false, problem: "not-positive" };
  const grams = read.value * factor;
  if (grams > MOST_GRAMS) return { ok: false, problem: "above-most", most: MOST_GRAMS };
  return { ok: true, value: grams };
}
