/** What an instrument at the bench sends a number in. */
export const instrumentUnits = ["g", "pH", "°C", "Pa·s", "s"] as const;

export type InstrumentUnit = (typeof instrumentUnits)[number];

/** What an instrument shows at a moment. */
export interface InstrumentReading {
  readonly value: number;
  readonly unit: InstrumentUnit;
  /** Null where the instrument does not say. */
  readonly isStable: boolean | null;
}

export type InstrumentLine =
  | { readonly kind: "reading"; readonly reading: InstrumentReading }
  /** More than it can measure: too much on the pan, a probe out of range. */
  | { readonly kind: "overload" }
  /** A number in a unit that is not read here. */
  | { readonly kind: "other-unit"; readonly unit: string }
  /** Nothing a reading could be: noise, a heading, half a line. */
  | { readonly kind: "noise" };

const STABLE = new Set(["s", "st", "stable", "="]);
const MOVING = new Set(["u", "us", "d", "sd", "unstable", "?", "~"]);
const OVERLOAD = new Set(["ol", "over", "overload", "err"]);

/** How instruments write the units that are read, in small letters. */
const WRITTEN: Readonly<Record<string, InstrumentUnit>> = {
  g: "g",
  ph: "pH",
  c: "°C",
  "°c": "°C",
  degc: "°C",
  "pa.s": "Pa·s",
  "pa·s": "Pa·s",
  pas: "Pa·s",
  s: "s",
  sec: "s",
};
const MARK = "[a-z]{1,8}|[=?~]";
const LINE = new RegExp(`^(?:(${MARK})[\\s,:]*)?([+-]?)\\s*(\\d{1,7}(?:[.,]\\d{1,5})?)\\s*([a-z°][a-z°.·]{0,5})?\\s*(${MARK})?$`, "i");

/**
 * Reads a line of text as scales, meters and flow cups send it: a number, a unit and, before or after, a mark that says
 * whether it stands still. "S 61.38 g" is 61.38 g and stable, "7.42 pH ?" is moving, "OL" is overload, "2.165 oz" is
 * another unit. A lone number is none: it could be of anything.
 */
export function readInstrumentLine(text: string): InstrumentLine {
  const line = text.trim();
  const words = line.toLowerCase().split(/[\s,:]+/);
  if (words.length <= 2 && words.some((word) => OVERLOAD.has(word))) return { kind: "overload" };
  const found = LINE.exec(line);
  if (found === null) return { kind: "noise" };
  const [, before = "", sign = "", number = "", unitText = "", after = ""] = found;
  const mark = (before === "" ? after : before).toLowerCase();
  if (unitText === "" || (mark !== "" && !STABLE.has(mark) && !MOVING.has(mark))) return { kind: "noise" };
  const unit = WRITTEN[unitText.toLowerCase()];
  if (unit === undefined) return { kind: "other-unit", unit: unitText };
  const value = Number(number.replace(",", ".")) * (sign === "-" ? -1 : 1);
  const isStable = STABLE.has(mark) ? true : MOVING.has(mark) ? false : null;
  return { kind: "reading", reading: { value: value === 0 ? 0 : value, unit, isStable } };
}
