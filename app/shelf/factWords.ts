import { writtenShort } from "@tensidrum/core/quantities";
import { numberFields, spanFields } from "./owning/materialFields";

const names: Readonly<Record<string, string>> = {
  active: "active matter",
  countsAsActive: "counts as a cleanser",
  solubleIn: "dissolves in",
  inci: "composition",
  parts: "made of",
  foam: "foam",
  preservative: "how it preserves",
  acidBase: "as acid or base",
  buffers: "buffers",
  waterActivity: "binding water",
  allergens: "allergens",
  dispersed: "particles",
  restrictions: "law",
  pKa: "pKa",
  mmolPerGram: "mmol/g",
  norrishK: "Norrish K",
  ...Object.fromEntries([...numberFields, ...spanFields].map(({ field, name }) => [field, name])),
};

const units: Readonly<Record<string, string>> = {
  active: "%",
  ...Object.fromEntries([...numberFields, ...spanFields].map(({ field, unit }) => [field, unit])),
};

/** Facts that are lists: nothing said is none of it, not unknown. */
const LISTS: ReadonlySet<string> = new Set(["flags", "restrictions", "allergens", "solubleIn", "buffers", "caution", "handling"]);

const SLUG = /^[a-z]+(-[a-z]+)+$/;

/** What a fact is called on the screen. */
export function factName(fact: string): string {
  return names[fact] ?? fact.replace(/([A-Z])/g, " $1").toLowerCase();
}

/** Any fact in words, with its unit: {low: 4, high: 6} is "4 to 6", nothing is "not known". */
export function factWords(fact: string, value: unknown): string {
  if (value === null && LISTS.has(fact)) return "none";
  const said = wordsOf(value);
  const unit = units[fact] ?? "";
  return value === null || unit === "" ? said : `${said} ${unit}`;
}

function wordsOf(value: unknown): string {
  if (value === null || value === undefined) return "not known";
  if (typeof value === "number") return writtenShort(value, 6);
  if (typeof value === "boolean") return value ? "yes" : "no";
  if (typeof value === "string") return SLUG.test(value) ? value.replaceAll("-", " ") : value;
  if (Array.isArray(value)) return value.map(wordsOf).join(", ");
  return ofObject(value as Readonly<Record<string, unknown>>);
}

function ofObject({ low, typical, high, ...rest }: Readonly<Record<string, unknown>>): string {
  const span = low === undefined || high === undefined ? "" : low === high ? wordsOf(low) : `${wordsOf(low)} to ${wordsOf(high)}`;
  const middle = typical === undefined || low === high ? "" : wordsOf(typical);
  const said = [middle, span].filter(Boolean).join(", ");
  if (said !== "") return said;
  const { name, material, percent, ...others } = rest;
  if (percent !== undefined) return `${wordsOf(name ?? material)} ${wordsOf(percent)} %`;
  return Object.entries({ ...(name === undefined ? {} : { name }), ...others })
    .map(([key, inner]) => `${factName(key)} ${wordsOf(inner)}`)
    .join("; ");
}
