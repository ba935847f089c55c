import Joi from "joi";
import { charges, forms, roles } from "../../library/material.ts";
import {
  densityField,
  molarMassField,
  nameField,
  notNegativeField,
  orUnknown,
  percentField,
  phField,
  pKaField,
  positiveField,
  slugField,
  spanField,
  temperatureField,
  textField,
} from "../fields.ts";

const MOST_ENTRIES = 500;

const inci = Joi.array()
  .items(Joi.object({ name: nameField.required(), common: nameField, percent: percentField.required() }))
  .min(1)
  .max(MOST_ENTRIES);

const parts = Joi.array()
  .items(Joi.object({ material: slugField.required(), percent: percentField.required() }))
  .min(1)
  .max(MOST_ENTRIES);

const words = Joi.array().items(textField).max(MOST_ENTRIES);

const preservative = Joi.object({
  effectivePhLow: phField.required(),
  effectivePhHigh: phField.required(),
  acids: Joi.array()
    .items(Joi.object({ name: nameField.required(), pKa: pKaField.required(), percentOfMaterial: percentField.required() }))
    .max(20)
    .required(),
  inactivatedBy: words.required(),
  inactivatedByCodes: Joi.array()
    .items(Joi.object({ code: nameField.required(), abovePercent: percentField.required() }))
    .max(50)
    .required(),
  needs: words.required(),
  needsCodes: words.required(),
  addBelowC: temperatureField.required(),
});

const acidBase = Joi.object({
  equivalentsModel: Joi.string().valid("acid", "base").required(),
  pKas: Joi.array().items(pKaField).max(20).required(),
  molarMass: molarMassField.required(),
  percentOfMaterial: percentField.required(),
});

/** Every fact beside slug, name, role and composition. */
const facts: Record<string, Joi.Schema> = {
  form: orUnknown(Joi.string().valid(...forms)),
  charge: orUnknown(Joi.string().valid(...charges)),
  active: orUnknown(Joi.object({ low: percentField.required(), typical: percentField.required(), high: percentField.required() })),
  countsAsActive: orUnknown(Joi.boolean()),
  saltPercent: orUnknown(percentField),
  electrolytePercent: orUnknown(percentField),
  molarMass: orUnknown(molarMassField),
  cmcMillimolar: orUnknown(positiveField),
  densityGramsPerMl: orUnknown(densityField),
  trueDensityGramsPerMl: orUnknown(densityField),
  dropMilligrams: orUnknown(positiveField),
  pieceGrams: orUnknown(positiveField),
  phSupplied: orUnknown(Joi.object({ low: phField.required(), high: phField.required(), at: textField.required() })),
  phStable: orUnknown(spanField(phField)),
  use: orUnknown(spanField(percentField)),
  maxTemperatureC: orUnknown(Joi.number().min(-30).max(400)),
  solubleIn: words,
  flags: words,
  zein: orUnknown(spanField(notNegativeField)),
  foam: orUnknown(
    Joi.object({
      flash: Joi.number().min(0).max(10).required(),
      density: Joi.number().min(0).max(10).required(),
      stability: Joi.number().min(0).max(10).required(),
    }),
  ),
  preservative: orUnknown(preservative),
  acidBase: orUnknown(acidBase),
  buffers: Joi.array()
    .items(Joi.object({ pKa: pKaField.required(), mmolPerGram: spanField(notNegativeField).required() }))
    .max(100),
  waterActivity: orUnknown(
    Joi.object({
      molarMass: molarMassField.required(),
      percentOfMaterial: percentField.required(),
      ions: Joi.number().min(1).max(20).required(),
      norrishK: orUnknown(Joi.number().min(-50).max(50)).required(),
    }),
  ),
  allergens: Joi.array()
    .items(Joi.object({ name: nameField.required(), percent: percentField.required() }))
    .max(MOST_ENTRIES),
  dispersed: orUnknown(Joi.object({ densityGramsPerMl: densityField.required(), medianDiameterMicrometre: positiveField.required() })),
  handling: Joi.string().allow("").max(2000),
  caution: orUnknown(Joi.string().allow("").max(2000)),
  restrictions: Joi.array().items(Joi.string().max(2000)).max(100),
  uncertain: words,
  measured: words,
};

const identity = {
  slug: slugField.required(),
  name: nameField.required(),
  role: Joi.string()
    .valid(...roles)
    .required(),
};

/** A material as someone writes it: any fact may be missing, and missing is unknown. */
export const materialSchema = Joi.object({ ...identity, inci, parts, ...facts }).xor("inci", "parts");

/** What only some materials have at all. */
const SELDOM = new Set(["measured", "pieceGrams"]);
const seldom = Object.fromEntries(Object.entries(facts).filter(([key]) => SELDOM.has(key)));
const always = Object.fromEntries(Object.entries(facts).filter(([key]) => !SELDOM.has(key)));

/** A material of the reference library: every fact stands there, if only as `null`. */
export const referenceMaterialSchema = Joi.object({
  ...identity,
  inci,
  parts,
  ...Object.fromEntries(Object.entries(always).map(([key, field]) => [key, field.required()])),
  ...seldom,
}).xor("inci", "parts");

export const materialsFileSchema = Joi.object({
  format: Joi.string().valid("tensidrum-materials/1").required(),
  libraryVersion: nameField,
  materials: Joi.array().items(materialSchema).max(5_000).required(),
  madeHere: Joi.object().pattern(slugField, Joi.string().valid("solution", "water", "scent", "formula", "blend")),
  lots: Joi.array()
    .items(
      Joi.object({
        id: Joi.string().min(1).max(120).required(),
        material: slugField.required(),
        code: Joi.string().allow("").max(60),
        note: Joi.string().allow("").max(500),
        assayPercent: orUnknown(percentField),
        supplier: orUnknown(textField),
        gramsLeft: orUnknown(notNegativeField),
        packGrams: orUnknown(positiveField),
        packPrice: orUnknown(notNegativeField),
        openedOn: orUnknown(Joi.string().pattern(/^\d{4}-\d{2}-\d{2}$/)),
        daysAfterOpening: orUnknown(Joi.number().integer().min(1).max(3_650)),
        expiresOn: orUnknown(Joi.string().pattern(/^\d{4}-\d{2}-\d{2}$/)),
      }),
    )
    .max(20_000),
});
