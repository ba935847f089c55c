import { textProblem } from "@tensidrum/core/quantities";
import Joi from "joi";

/** The fields our forms, addresses and stores are made of. What a field is read as follows from its schema. */
type Field<Typed = unknown> = Joi.AnySchema<Typed>;
type Fields = Readonly<Record<string, Field>>;
/** What a field, or a group of them, is read as. */
export type TypedOf<Schema> = Schema extends Joi.AnySchema<infer Typed> ? Typed : never;
export type TypedFields<Group extends Fields> = { readonly [Name in keyof Group]: TypedOf<Group[Name]> };

const LONGEST_KEY = 80;
/** An identifier as our pages make them: a UUID in small letters. Other ways to write one are none here. */
const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/;
const SLUG = /^[a-z0-9]+(-[a-z0-9]+)*$/;

/** Words as typed, without spaces around; what is left empty is `usual`. Characters that do not show are told of. */
export const text = (most: number, usual = ""): Joi.StringSchema =>
  Joi.string()
    .trim()
    .max(most)
    .empty("")
    .default(usual)
    .custom((value: string, helpers) => {
      const problem = textProblem(value);
      return problem === null ? value : helpers.message({ custom: problem });
    });
/** A text kept character for character; who reads it tells what is wrong in it. */
export const verbatim = (most: number): Joi.StringSchema => Joi.string().allow("").max(most).default("");
export const id = (): Joi.StringSchema => Joi.string().pattern(UUID).required();
/** An identifier, or an empty text where none is chosen. */
export const idOrNone = (): Joi.StringSchema => Joi.string().pattern(UUID).allow("").default("");
export const slug = (): Joi.StringSchema => Joi.string().pattern(SLUG).max(120).required();

/** One of a few words; without a usual one it must be said. */
export function choice<const Word extends string>(words: readonly Word[], usual?: Word): Joi.StringSchema<Word> {
  const field = Joi.string<Word>().valid(...words);
  return usual === undefined ? field.required() : field.default(usual);
}

/** A tick, read as whether it is there. */
export const tick = (): Joi.BooleanSchema => Joi.boolean().truthy("on").falsy("").default(false);

export const whole = (least: number, most: number): Joi.NumberSchema => Joi.number().integer().min(least).max(most);

/** Several of one kind; a single one counts as one. */
export const list = <Item>(item: Field<Item>, most: number): Joi.ArraySchema<Item[]> =>
  Joi.array<Item[]>().items(item).single().max(most).default([]);

/** Fields by a name the page makes, such as a step. */
export const keyed = <Item>(
  item: Field<Item>,
  key: Joi.StringSchema = Joi.string().max(LONGEST_KEY),
): Joi.ObjectSchema<Readonly<Record<string, Item>>> => Joi.object<Readonly<Record<string, Item>>>().pattern(key, item).default({});
/** Fields by the identifier of what they belong to. */
export const keyedById = <Item>(item: Field<Item>) => keyed(item, Joi.string().pattern(UUID));

/** Fields that belong together; those that are missing stand at their usual values. */
export const group = <Group extends Fields>(fields: Group): Joi.ObjectSchema<TypedFields<Group>> =>
  Joi.object<TypedFields<Group>>(fields).default();

/** A file that was chosen; undefined where none was. */
export const file = (): Joi.AnySchema<File | undefined> =>
  Joi.any<File | undefined>().custom((value: unknown, helpers) => (value instanceof File ? value : helpers.error("any.invalid")));
