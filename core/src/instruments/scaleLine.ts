/** What a scale shows at a moment. */
export interface ScaleReading {
  readonly grams: number;
  /** Null where the scale does not say. */
  readonly isStable: boolean | null;
}

export type ScaleLine =
  | { readonly kind: "reading"; readonly reading: ScaleReading }
  /** More on the pan than it carries. */
  | { readonly kind: "overload" }
  /** A number in a unit that is not read here. */
  | { readonly kind: "other-unit"; readonly unit: string }
  /** Nothing a reading could be: noise, a heading, half a line. */
  | { readonly kind: "noise" };

const STABLE = new Set(["s", "st", "stable", "="]);
const MOVING = new Set(["u", "us", "d", "sd", "unstable", "?", "~"]);
const OVERLOAD = new Set(["ol", "over", "overload", "err"]);
const READING = /^(?:([a-z]{1,8}|[=?~])[\s,:]*)?([+-]?)\s*(\d{1,7}(?:[.,]\d{1,5})?)\s*([a-z]{0,4})\s*([=?~]|[a-z]{1,8})?$/i;

/**
 * Reads a line of text as bench scales send it: a number, a unit and, before or after, a mark that says whether it stands
 * still. "S 61.38 g" is 61.38 g and stable, "61.4 g ?" is moving, "OL" is overload, "2.165 oz" is another unit.
 */
export function readScaleLine(text: string): ScaleLine {
  const line = text.trim();
  const words = line.toLowerCase().split(/[\s,:]+/);
  if (words.length <= 2 && words.some((word) => OVERLOAD.has(word))) return { kind: "overload" };
  const found = READING.exec(line);
  if (found === null) return { kind: "noise" };
  const [, before = "", sign = "", number = "", unit = "", after = ""] = found;
  const mark = (before === "" ? after : before).toLowerCase();
  if (mark !== "" && !STABLE.has(mark) && !MOVING.has(mark)) return { kind: "noise" };
  if (unit.toLowerCase() !== "g" && unit !== "") return { kind: "other-unit", unit };
  if (unit === "") return { kind: "noise" };
  const grams = Number(number.replace(",", ".")) * (sign === "-" ? -1 : 1);
  const isStable = STABLE.has(mark) ? true : MOVING.has(mark) ? false : null;
  return { kind: "reading", reading: { grams: grams === 0 ? 0 : grams, isStable } };
}
