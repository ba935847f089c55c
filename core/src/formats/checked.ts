import type Joi from "joi";
import { Refusal, type FieldFault } from "../formula/refusal.ts";
import { faultsOf, pathText } from "./faults.ts";

/** More faults than this help nobody. */
const MOST_FAULTS = 20;

/** The refusal of a file with its faults. The message is the first of them. */
export function refusalOf(faults: readonly FieldFault[]): Refusal {
  const first = faults[0]?.message ?? "The file cannot be read.";
  const more = faults.length > 1 ? ` (and ${faults.length - 1} more)` : "";
  return new Refusal("not-valid", `${first}${more}`, "Mend that field and read the file again.", faults.slice(0, MOST_FAULTS));
}

/** Path of a key that objects have by nature; copying the object would lose it without a word. */
function hiddenKey(value: unknown): string | null {
  const waiting: { readonly value: unknown; readonly path: readonly (string | number)[] }[] = [{ value, path: [] }];
  for (let next = waiting.pop(); next !== undefined; next = waiting.pop()) {
    const { value: inner, path } = next;
    if (typeof inner !== "object" || inner === null) continue;
    if (Object.hasOwn(inner, "__proto__")) return pathText([...path, "__proto__"]);
    for (const [key, each] of Object.entries(inner)) {
      if (typeof each === "object") waiting.push({ value: each, path: [...path, Array.isArray(inner) ? Number(key) : key] });
    }
  }
  return null;
}

/**
 * A value that has the shape of its format. Nothing is converted: "22" is no number.
 * @throws Refusal with the path of every field that has not.
 */
export function checked<File>(schema: Joi.Schema, value: unknown): File {
  const hidden = hiddenKey(value);
  if (hidden !== null) throw refusalOf([{ path: hidden, message: `${hidden} is not a key of this format.` }]);
  const { error } = schema.validate(value, { convert: false, abortEarly: false, noDefaults: true });
  if (error !== undefined) throw refusalOf(faultsOf(error));
  return value as File;
}
