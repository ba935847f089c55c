import Joi from "joi";
import { counterweights, thickeningWays } from "../../design/wishes.ts";
import { formatField, notNegativeField, orUnknown, percentField, positiveField, slugField, spanField } from "../fields.ts";
import { formulaSchema } from "./formulaFile.ts";

/** Files that ask for a blend. */

const [LEAST_COUNT, MOST_COUNT] = [1, 5];
const MOST_MATERIALS = 400;
const MOST_BOXES = 5_000_000;

const slugs = Joi.array().items(slugField).unique().max(MOST_MATERIALS);
const foamField = Joi.number().min(0).max(10);

const wishes = Joi.object({
  activePercent: spanField(percentField).required(),
  mostIrritation: orUnknown(notNegativeField),
  leastFlash: orUnknown(foamField),
  leastStability: orUnknown(foamField),
  thickening: Joi.string().valid(...thickeningWays),
  mostCost: orUnknown(notNegativeField),
  mostSaltPercent: orUnknown(percentField),
  mostAnionicPercent: orUnknown(percentField),
  count: spanField(Joi.number().integer().min(LEAST_COUNT).max(MOST_COUNT)),
  mustHave: slugs,
});

export const designSchema = Joi.object({
  format: formatField("tensidrum-design/1"),
  formula: formulaSchema.required(),
  against: Joi.string().valid(...counterweights),
  wishes: wishes.required(),
  mustNot: slugs,
  coldOnly: Joi.boolean(),
  onlyShelf: Joi.boolean(),
  preservative: orUnknown(slugField),
  shelf: Joi.array()
    .items(
      Joi.object({
        material: slugField.required(),
        grams: notNegativeField.required(),
        price: orUnknown(notNegativeField),
        packGrams: orUnknown(positiveField),
        assayPercent: orUnknown(percentField),
      }),
    )
    .unique("material")
    .max(MOST_MATERIALS),
  mostBoxes: Joi.number().integer().min(1).max(MOST_BOXES),
});
