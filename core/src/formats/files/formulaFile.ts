import Joi from "joi";
import { thicknessWishes } from "../../formula/thicknessWish.ts";
import { profiles } from "../../formula/profiles.ts";
import { schools } from "../../formula/schools.ts";
import {
  densityField,
  formatField,
  idField,
  MOST_LINES,
  percentField,
  phField,
  positiveField,
  slugField,
  temperatureField,
  textField,
} from "../fields.ts";
import { materialSchema } from "./materialFile.ts";

const LONGEST_AS_WRITTEN = 300;

const line = Joi.object({
  id: idField.required(),
  phase: idField.required(),
  material: slugField.required(),
  percent: percentField,
  qs: Joi.valid(true),
  assayPercent: percentField,
  asWritten: Joi.string().max(LONGEST_AS_WRITTEN),
}).xor("percent", "qs");

const splitLine = Joi.object({
  id: idField.required(),
  phase: idField.required(),
  material: slugField.required(),
  percent: percentField.required(),
  assayPercent: percentField,
  asWritten: Joi.string().max(LONGEST_AS_WRITTEN),
});

/** The maker's own steps. */
export const processSchema = Joi.object({
  steps: Joi.array()
    .items(
      Joi.object({
        id: idField.required(),
        title: Joi.string().min(1).max(120),
        do: Joi.string().min(1).max(2_000),
        check: Joi.string().allow("").max(500),
        tool: Joi.string().allow("").max(120),
        lines: Joi.array().items(idField).max(MOST_LINES).required(),
        vessel: idField,
        waitMinutes: Joi.number().min(0).max(10_080),
        atMostC: Joi.number().min(-10).max(120),
        because: textField,
      }),
    )
    .min(1)
    .max(200)
    .required(),
  portions: Joi.array()
    .items(Joi.object({ id: idField.required(), of: idField.required(), percentOfLine: Joi.number().greater(0).less(100).required() }))
    .max(MOST_LINES),
  choices: Joi.object({
    scentInto: idField,
    preservativeInto: Joi.string().valid("water", "glycerin", "batch"),
    route: Joi.string().valid("cold", "warm"),
    acidInWater: Joi.boolean(),
  }),
});

export const formulaSchema = Joi.object({
  format: formatField("tensidrum-formula/1"),
  name: textField,
  profile: Joi.string()
    .valid(...profiles.map(({ slug }) => slug))
    .required(),
  school: Joi.string().valid(...schools.map(({ slug }) => slug)),
  eyeArea: Joi.boolean(),
  wantsClear: Joi.boolean(),
  leftOn: Joi.boolean(),
  aim: Joi.object({
    forWhom: textField,
    thickness: Joi.string().valid(...thicknessWishes),
    without: Joi.array().items(textField).max(20),
    closeTo: textField,
  }),
  batchGrams: positiveField.required(),
  scales: Joi.array()
    .items(Joi.object({ name: textField.required(), readabilityGrams: positiveField.required(), capacityGrams: positiveField.required() }))
    .max(20),
  measured: Joi.object({ ph: phField, densityGramsPerMl: densityField }),
  method: Joi.string().allow("").max(20_000),
  phases: Joi.array()
    .items(Joi.object({ id: idField.required(), title: textField, temperatureC: temperatureField }))
    .max(500),
  splits: Joi.array()
    .items(
      Joi.object({
        name: textField.required(),
        sharePercent: percentField.required(),
        lines: Joi.array().items(splitLine).max(MOST_LINES).required(),
        open: Joi.object({ addUpToPercent: Joi.number().greater(0).less(100).required(), what: Joi.string().allow("").max(300) }),
      }),
    )
    .max(100),
  lines: Joi.array().items(line).max(MOST_LINES).required(),
  process: processSchema,
  materials: Joi.array().items(materialSchema).max(5_000),
});

/** What `label` reads: a formula and how the names are written. */
export const labelledFormulaSchema = formulaSchema.keys({ naming: Joi.string().valid("inci", "common") });
