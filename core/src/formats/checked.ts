import type Joi from "joi";
import { Refusal, type FieldFault } from "../formula/refusal.ts";
import { faultsOf } from "./faults.ts";

/** More faults than this help nobody. */
const MOST_FAULTS = 20;

/** The refusal of a file with its faults. The message is the first of them. */
export function refusalOf(faults: readonly FieldFault[]): Refusal {
  const first = faults[0]?.message ?? "The file cannot be read.";
  const more = faults.length > 1 ? ` (and ${faults.length - 1} more)` : "";
  return new Refusal("not-valid", `${first}${more}`, "Mend that field and read the file again.", faults.slice(0, MOST_FAULTS));
}

/**
 * A value that has the shape of its format. Nothing is converted: "22" is no number.
 * @throws Refusal with the path of every field that has not.
 */
export function checked<File>(schema: Joi.Schema, value: unknown): File {
  // What JSON cannot say has no place in a file, and a key named like that would be lost on the way.
  const { error } = schema.validate(value, { convert: false, abortEarly: false, noDefaults: true });
  if (error !== undefined) throw refusalOf(faultsOf(error));
  return value as File;
}
