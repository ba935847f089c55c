import Joi from "joi";

/** Fields the open formats share. Numbers are plain JSON numbers; `null` is unknown, never zero. */

/** Longest name, note or slug any file may carry. */
const LONGEST_TEXT = 400;
/** Lines of one formula. */
export const MOST_LINES = 20_000;
/** Readings, jars, additions or points of one file. */
export const MOST_POINTS = 2_000;
const MOST_GRAMS = 1e9;

export const slugField = Joi.string()
  .pattern(/^[a-z0-9]+(-[a-z0-9]+)*$/)
  .max(120);
export const idField = Joi.string().min(1).max(120);
export const textField = Joi.string().allow("").max(LONGEST_TEXT);
export const nameField = Joi.string().min(1).max(LONGEST_TEXT);

export const percentField = Joi.number().min(0).max(100);
export const phField = Joi.number().min(0).max(14);
/** More than nothing. */
export const positiveField = Joi.number().greater(0).max(MOST_GRAMS);
export const notNegativeField = Joi.number().min(0).max(MOST_GRAMS);
export const molarMassField = Joi.number().greater(0).max(10_000_000);
export const densityField = Joi.number().greater(0).max(25);
export const temperatureField = Joi.number().min(-30).max(150);
export const pKaField = Joi.number().min(-10).max(20);

export const orUnknown = (field: Joi.Schema): Joi.Schema => field.allow(null);

/** A low and a high end. */
export function spanField(end: Joi.Schema): Joi.ObjectSchema {
  return Joi.object({ low: end.required(), high: end.required() });
}

/** The version a file says it is written in. */
export function formatField(format: string): Joi.Schema {
  return Joi.string().valid(format).required();
}
