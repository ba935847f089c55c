import Joi from "joi";
import { formatField } from "../fields.ts";

/** Files of what people write. */

const MOST_CHARACTERS = 20_000;
const LONGEST_QUERY = 200;

export const recipeSchema = Joi.object({
  format: formatField("tensidrum-recipe/1"),
  text: Joi.string().allow("").max(MOST_CHARACTERS).required(),
});

export const findSchema = Joi.object({
  format: formatField("tensidrum-find/1"),
  query: Joi.string().allow("").max(LONGEST_QUERY).required(),
});
