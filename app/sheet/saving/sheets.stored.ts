import Joi from "joi";
import { noTypedAim, type TypedSheet } from "../typed/typedSheet";
import type { SheetHistory } from "../typed/sheetHistory";
import type { KeptTyping } from "./keptTyping";

const words = Joi.string().allow("");
const lot = Joi.object({
  lotId: words.required(),
  code: words.required(),
  grams: words.required(),
  assayPercent: Joi.number().allow(null).required(),
  pricePerGram: Joi.number().allow(null).required(),
});
const line = Joi.object({
  id: words.required(),
  phase: words.required(),
  materialId: words.required(),
  percent: words.required(),
  assay: words.default(""),
  asWritten: words,
  lots: Joi.array().items(lot),
});

/** A sheet as typed. What earlier builds did not keep yet stands at its usual value. */
const sheet = Joi.object<TypedSheet>({
  name: words.required(),
  profile: words.required(),
  batch: words.required(),
  aim: Joi.object({
    ...Object.fromEntries(Object.entries(noTypedAim).map(([key, usual]) => [key, words.default(usual)])),
    eyeArea: Joi.boolean().default(noTypedAim.eyeArea),
  }).default(noTypedAim),
  measured: Joi.object({ ph: words.default(""), density: words.default("") }).default(),
  phases: Joi.array()
    .items(
      Joi.object({
        letter: words.required(),
        title: words.required(),
        temperature: words.default(""),
        part: Joi.object({ share: words.required(), addUpTo: words.required(), mayAdd: words.required() }),
      }),
    )
    .required(),
  lines: Joi.array().items(line).required(),
  restLineId: words.allow(null).required(),
  method: words,
});

const typing = Joi.object<KeptTyping & { readonly keptAt: number }>({
  revision: Joi.number().required(),
  typed: sheet.required(),
  base: sheet,
  unanswered: Joi.array().items(words).default([]),
  keptAt: Joi.number().default(0),
});

const history = Joi.object<Omit<SheetHistory, "lastKey">>({
  now: sheet.required(),
  past: Joi.array().items(sheet).required(),
  future: Joi.array().items(sheet).required(),
});

/** Reads typing a page kept, and when; null where it is none. */
export const storedTyping = (text: string) => read(typing, text);

/** Reads what could be undone and redone before a reload; null where it is none. */
export const storedHistory = (text: string) => read(history, text);

function read<Stored>(schema: Joi.ObjectSchema<Stored>, text: string): Stored | null {
  let parsed: unknown;
  try {
    parsed = JSON.parse(text);
  } catch {
    return null;
  }
  const { value, error } = schema.required().validate(parsed, { convert: false, stripUnknown: true });
  return error === undefined ? (value as Stored) : null;
}
