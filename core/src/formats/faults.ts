import type Joi from "joi";
import type { FieldFault } from "../quantities/refusal.ts";

/** A path as people write it: `lines[3].percent`. */
export function pathText(path: readonly (string | number)[]): string {
  return path.reduce<string>((text, step) => {
    if (typeof step === "number") return `${text}[${step}]`;
    return text === "" ? step : `${text}.${step}`;
  }, "");
}

const LONGEST_SHOWN = 40;
/** Choices beyond so many are not listed. */
const MOST_CHOICES = 20;

/** A value as it stood in the file, cut when it is long. */
function shown(value: unknown): string {
  const text = value === undefined ? "nothing" : (JSON.stringify(value) ?? String(value));
  return text.length > LONGEST_SHOWN ? `${text.slice(0, LONGEST_SHOWN)}…` : text;
}

function kindOf(value: unknown): string {
  if (value === null) return "null";
  if (Array.isArray(value)) return "a list";
  return typeof value === "string" ? `the text ${shown(value)}` : typeof value === "object" ? "an object" : shown(value);
}

interface Context {
  readonly value?: unknown;
  readonly limit?: unknown;
  readonly valids?: readonly unknown[];
  readonly peers?: readonly string[];
  readonly present?: readonly string[];
}

type Wording = (path: string, context: Context) => string;

const wordings: Readonly<Record<string, Wording>> = {
  "any.required": (path) => `${path} is missing.`,
  "any.only": (path, { value, valids }) => choiceWords(path, value, valids ?? []),
  "object.unknown": (path) => `${path} is not a key of this format.`,
  "object.base": (path, { value }) => `${path} must be an object, not ${kindOf(value)}.`,
  "array.base": (path, { value }) => `${path} must be a list, not ${kindOf(value)}.`,
  "array.min": (path, { limit }) => `${path} needs at least ${String(limit)} entry.`,
  "array.max": (path, { limit }) => `${path} has more than ${String(limit)} entries.`,
  "array.sparse": (path) => `${path} is empty.`,
  "number.base": (path, { value }) => `${path} must be a number, not ${kindOf(value)}.`,
  "number.infinity": (path) => `${path} is too large for a number.`,
  "number.unsafe": (path) => `${path} is too large for a number.`,
  "number.integer": (path, { value }) => `${path} must be a whole number, not ${shown(value)}.`,
  "number.min": (path, { value, limit }) => `${path} is ${shown(value)}; it must be at least ${String(limit)}.`,
  "number.max": (path, { value, limit }) => `${path} is ${shown(value)}; it must be at most ${String(limit)}.`,
  "number.greater": (path, { value, limit }) => `${path} is ${shown(value)}; it must be more than ${String(limit)}.`,
  "boolean.base": (path, { value }) => `${path} must be true or false, not ${kindOf(value)}.`,
  "moment.none": (path, { value }) => `${path} is ${shown(value)}; there is no such moment.`,
  "string.base": (path, { value }) => `${path} must be text, not ${kindOf(value)}.`,
  "string.empty": (path) => `${path} is empty.`,
  "string.min": (path) => `${path} is empty.`,
  "string.max": (path, { limit }) => `${path} is longer than ${String(limit)} characters.`,
  "string.pattern.base": (path, { value }) => `${path} is ${shown(value)}; it must be small letters, digits and hyphens.`,
  "object.xor": (path, { peers }) => `${path} has ${(peers ?? []).join(" and ")}; it needs exactly one of them.`,
  "object.missing": (path, { peers }) => `${path} needs ${(peers ?? []).join(" or ")}.`,
};

function choiceWords(path: string, value: unknown, valids: readonly unknown[]): string {
  if (path === "format" || path.endsWith(".format")) {
    return `${path} is ${shown(value)}; this reads ${valids.map(shown).join(" or ")} and no other version.`;
  }
  if (valids.length > MOST_CHOICES) return `${path} is ${shown(value)}, which is not one of its values.`;
  return `${path} is ${shown(value)}; it can be ${valids.map(shown).join(", ")}.`;
}

/** What Joi found, in our words and with the field's path. */
export function faultsOf(error: Joi.ValidationError): readonly FieldFault[] {
  return error.details.map(({ type, path, context }) => {
    const where = pathText(path);
    const name = where === "" ? "the file" : where;
    const wording = wordings[type];
    const message = wording === undefined ? `${name} cannot be read.` : wording(name, (context ?? {}) as Context);
    return { path: where, message };
  });
}
