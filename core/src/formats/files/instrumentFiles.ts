import Joi from "joi";
import {
  densityField,
  formatField,
  MOST_POINTS,
  molarMassField,
  notNegativeField,
  orUnknown,
  percentField,
  phField,
  pKaField,
  positiveField,
  spanField,
} from "../fields.ts";

/** Files of what is measured at the bench: doses and pH, salt and thickness, beads and particles. */

/** More readings of one batch than this are no batch; the advice weighs each against all others. */
const MOST_READINGS = 40;

const agent = Joi.object({
  kind: Joi.string().valid("acid", "base").required(),
  molarMass: molarMassField.required(),
  pKas: Joi.array().items(pKaField).max(20).required(),
  strengthPercent: Joi.number().greater(0).max(100).required(),
});

export const titrationSchema = Joi.object({
  format: formatField("tensidrum-titration/1"),
  batchGrams: positiveField.required(),
  agent: agent.required(),
  target: spanField(phField).required(),
  dropGrams: orUnknown(positiveField),
  counterAgent: orUnknown(agent),
  knownBuffers: Joi.array()
    .items(Joi.object({ mmolPerKg: notNegativeField.required(), pKa: pKaField.required() }))
    .max(100),
  readings: Joi.array()
    .items(
      Joi.object({
        doseGramsTotal: notNegativeField.required(),
        counterGramsTotal: notNegativeField,
        otherGramsTotal: notNegativeField,
        ph: phField.required(),
        phSigma: Joi.number().greater(0).max(5),
        sampleGrams: notNegativeField,
      }),
    )
    .min(1)
    .max(MOST_READINGS)
    .required(),
});

const saltPoint = Joi.object({ saltPercent: percentField.required(), viscosity: positiveField.required() });

export const thickenSchema = Joi.object({
  format: formatField("tensidrum-thicken/1"),
  batchGrams: positiveField.required(),
  hiddenSaltPercent: percentField.required(),
  strengthPercent: Joi.number().greater(0).max(100).required(),
  target: positiveField.required(),
  jars: Joi.array().items(saltPoint).max(MOST_READINGS),
  additions: Joi.array()
    .items(Joi.object({ gramsTotal: notNegativeField.required(), viscosity: positiveField.required() }))
    .max(MOST_READINGS),
});

export const saltCurveSchema = Joi.object({
  format: formatField("tensidrum-salt-curve/1"),
  points: Joi.array().items(saltPoint).max(MOST_POINTS).required(),
  target: orUnknown(positiveField),
});

export const beadDropSchema = Joi.object({
  format: formatField("tensidrum-bead-drop/1"),
  beadDiameterMm: positiveField.required(),
  beadDensity: densityField.required(),
  jarDiameterMm: positiveField.required(),
  liquidDensity: densityField.required(),
  fallMm: positiveField.required(),
  seconds: positiveField.required(),
});

export const sedimentationSchema = Joi.object({
  format: formatField("tensidrum-settle/1"),
  diameterMicrometre: positiveField.required(),
  particleDensity: densityField.required(),
  liquidDensity: densityField.required(),
  pascalSeconds: positiveField.required(),
  yieldPascal: notNegativeField.required(),
});
