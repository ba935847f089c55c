import { readEntries } from "@tensidrum/core/formats";
import Joi from "joi";
import type { BatchEntry } from "@tensidrum/core/process";
import type { KeptEntry } from "./entryKeep";

const entry = Joi.object<BatchEntry>({ id: Joi.string().required() })
  .unknown()
  .custom((value: BatchEntry, helpers) => {
    try {
      readEntries([value]);
      return value;
    } catch {
      return helpers.error("any.invalid");
    }
  });

const keptEntry = Joi.object<KeptEntry>({
  id: Joi.string().required(),
  batch: Joi.string().required(),
  entry: entry.required(),
  position: Joi.number().integer().allow(null).required(),
  why: Joi.string().allow("", null).required(),
}).unknown();

const practice = Joi.object<{ id: string; seed: string; entries: readonly BatchEntry[]; aheadMilliseconds: number; isOver: boolean }>({
  id: Joi.string()
    .uuid()
    .default(() => crypto.randomUUID()),
  seed: Joi.string().required(),
  entries: Joi.array().items(entry).required(),
  aheadMilliseconds: Joi.number().required(),
  isOver: Joi.boolean().required(),
});

/** Tells entries a device kept that can be read from those that are broken; these are shown as they are and never sent. */
export function storedEntries(kept: readonly unknown[]): { readonly entries: readonly KeptEntry[]; readonly broken: readonly unknown[] } {
  const isEntry = (one: unknown): one is KeptEntry => keptEntry.validate(one, { convert: false }).error === undefined;
  return { entries: kept.filter(isEntry), broken: kept.filter((one) => !isEntry(one)) };
}

/** Reads a practice run; null where it is none. */
export const storedPractice = (kept: unknown) => read(practice, kept);

function read<Stored>(schema: Joi.AnySchema<Stored>, kept: unknown): Stored | null {
  const { value, error } = schema.required().validate(kept, { convert: false, stripUnknown: true });
  return error === undefined ? (value as Stored) : null;
}
