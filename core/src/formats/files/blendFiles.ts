import Joi from "joi";
import { charges } from "../../library/material.ts";
import { formatField, nameField, orUnknown, percentField, positiveField } from "../fields.ts";
import { formulaSchema } from "./formulaFile.ts";

/** Files of what is mixed: with water, in a micelle, behind a printed list. */

export const dilutionSchema = Joi.object({
  format: formatField("tensidrum-dilution/1"),
  formula: formulaSchema.required(),
  partsProduct: positiveField.required(),
  partsWater: Joi.number().min(0).max(1e9).required(),
});

export const micellesSchema = Joi.object({
  format: formatField("tensidrum-micelles/1"),
  totalMillimolar: positiveField.required(),
  surfactants: Joi.array()
    .items(
      Joi.object({
        charge: Joi.string()
          .valid(...charges)
          .required(),
        cmcMillimolar: positiveField.required(),
        moleFraction: Joi.number().min(0).max(1).required(),
      }),
    )
    .min(1)
    .max(40)
    .required(),
});

export const unmixSchema = Joi.object({
  format: formatField("tensidrum-unmix/1"),
  ingredients: Joi.array()
    .items(Joi.object({ name: nameField.required(), min: percentField, max: percentField }))
    .min(1)
    .max(300)
    .required(),
  onePercentLineAfter: orUnknown(Joi.number().integer().min(0).max(299)),
});
