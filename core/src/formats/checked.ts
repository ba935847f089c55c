import type Joi from "joi";
import { Refusal, type FieldFault } from "../quantities/refusal.ts";
import { textProblem, withHiddenMarked } from "../quantities/plainText.ts";
import { faultsOf, pathText } from "./faults.ts";

/** More faults than this help nobody. */
const MOST_FAULTS = 20;

/** The refusal of a file with its faults. The message is the first of them. */
export function refusalOf(faults: readonly FieldFault[]): Refusal {
  const first = faults[0]?.message ?? "The file cannot be read.";
  const more = faults.length > 1 ? ` (and ${faults.length - 1} more)` : "";
  return new Refusal("not-valid", `${first}${more}`, "Fix that field and read the file again.", faults.slice(0, MOST_FAULTS));
}

type Path = readonly (string | number)[];

/**
 * What the shape of a format does not see: a key that objects have by nature, which copying the object would lose without
 * a word, and text with characters that do not show or cannot be stored.
 */
function hiddenFault(value: unknown): FieldFault | null {
  const waiting: { readonly value: unknown; readonly path: Path }[] = [{ value, path: [] }];
  for (let next = waiting.pop(); next !== undefined; next = waiting.pop()) {
    const { value: inner, path } = next;
    if (typeof inner !== "object" || inner === null) continue;
    const isList = Array.isArray(inner);
    for (const [key, each] of Object.entries(inner)) {
      const fault = hiddenAt(key, each, () => pathText([...path, isList ? Number(key) : key]));
      if (fault !== null) return fault;
      if (typeof each === "object" && path.length < DEEPEST_PATH)
        waiting.push({ value: each, path: [...path, isList ? Number(key) : key] });
    }
  }
  return null;
}

/** No format nests so deep; what a caller made by other means than reading JSON is not followed without end. */
const DEEPEST_PATH = 64;

function hiddenAt(key: string, value: unknown, at: () => string): FieldFault | null {
  if (key === "__proto__" || textProblem(key) !== null) {
    const path = at();
    return { path, message: `${withHiddenMarked(path)} is not a key of this format.` };
  }
  const problem = typeof value === "string" ? textProblem(value) : null;
  return problem === null ? null : { path: at(), message: `${at()}: ${problem}` };
}

/**
 * A value that has the shape of its format. Nothing is converted: "22" is no number.
 * @throws Refusal with the path of every field that has not.
 */
export function checked<File>(schema: Joi.Schema, value: unknown): File {
  const hidden = hiddenFault(value);
  if (hidden !== null) throw refusalOf([hidden]);
  const { error } = schema.validate(value, { convert: false, abortEarly: false, noDefaults: true });
  if (error !== undefined) throw refusalOf(faultsOf(error));
  return value as File;
}
