import Joi from "joi";
import { clarityLooks, entryKinds, looksWords, phWays, readOffs, thicknessUnits } from "../../process/batch/entries.ts";
import { containerTypes, fillChecks, fillUses } from "../../process/batch/fillPlan.ts";
import { thicknessGauges } from "../../rheology/salt/plausibleCurves.ts";
import { thicknessWords } from "../../rheology/viscosity/words.ts";
import { isIsoMoment } from "../../quantities/isoMoment.ts";
import { blindKinds } from "../../stability/blindTest.ts";
import { bubbleSizes, latherWays } from "../../stability/lather.ts";
import { patchSeen } from "../../stability/patchTest.ts";
import { spoilSigns } from "../../stability/drift.ts";
import { storages } from "../../stability/checkCalendar.ts";
import { idField, nameField, notNegativeField, orUnknown, positiveField, textField } from "../fields.ts";
import { formulaSchema } from "./formulaFile.ts";

const MOST_ENTRIES = 20_000;

const moment = Joi.string()
  .pattern(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(:\d{2}(\.\d+)?)?(Z|[+-]\d{2}:\d{2})$/)
  .custom((text: string, helpers) => (isIsoMoment(text) ? text : helpers.error("moment.none")));

const phField = Joi.number().min(0).max(14);

/** What an entry can tell. Which fields stand with which kind is for the reader. */
export const entryFields: Readonly<Record<string, Joi.Schema>> = {
  id: idField.required(),
  at: moment.required(),
  kind: Joi.string()
    .valid(...entryKinds)
    .required(),
  vessel: idField,
  step: orUnknown(idField),
  line: idField,
  grams: notNegativeField,
  reason: textField,
  text: Joi.string().allow("").max(2000),
  entry: idField,
  because: textField,
  readOff: Joi.string().valid(...readOffs),
  temperatureC: Joi.number().min(-10).max(120),
  drops: Joi.number().integer().min(1).max(1_000),
  count: Joi.number().integer().min(1).max(10_000),
  container: nameField,
  filling: Joi.array()
    .items(
      Joi.object({
        id: idField.required(),
        container: orUnknown(idField).required(),
        name: nameField.required(),
        type: Joi.string()
          .valid(...containerTypes)
          .required(),
        use: Joi.string()
          .valid(...fillUses)
          .required(),
        count: Joi.number().integer().min(1).max(10_000).required(),
        grams: positiveField.required(),
        tareGrams: orUnknown(positiveField).required(),
        part: nameField,
      }),
    )
    .min(1)
    .max(40),
  density: Joi.object({
    gramsPerMl: positiveField.max(5).required(),
    source: Joi.string().valid("measured", "volume", "estimate").required(),
  }),
  check: Joi.string().valid(...fillChecks),
  row: idField,
  number: Joi.number().integer().min(1).max(10_000),
  works: Joi.boolean(),
  buffers: Joi.array()
    .items(Joi.object({ bufferPh: phField.required(), readingPh: phField.required() }))
    .length(2),
  ph: phField,
  low: phField,
  high: phField,
  when: Joi.string().valid("now", "before", "after"),
  thickness: Joi.string().valid("", ...thicknessWords),
  clarity: Joi.string().valid("", ...clarityLooks),
  words: Joi.array()
    .items(Joi.string().valid(...looksWords))
    .max(looksWords.length),
  way: Joi.string().valid(...phWays),
  sampleGrams: notNegativeField,
  viscosity: positiveField,
  unit: Joi.string().valid(...thicknessUnits),
  gauge: Joi.string().valid(...thicknessGauges),
  said: Joi.string().allow("").max(120),
  salt: Joi.object({
    name: nameField.required(),
    line: orUnknown(idField).required(),
    strengthPercent: positiveField.max(100).required(),
  }),
  /** The solution itself where it was dosed, its name where its drops were weighed. */
  agent: Joi.alternatives(
    nameField,
    Joi.object({
      name: nameField.required(),
      line: orUnknown(idField).required(),
      kind: Joi.string().valid("acid", "base").required(),
      molarMass: positiveField.required(),
      pKas: Joi.array().items(Joi.number().min(-10).max(20)).max(20).required(),
      strengthPercent: positiveField.max(100).required(),
      parts: Joi.array()
        .items(Joi.object({ material: nameField.required(), percent: notNegativeField.max(100).required() }))
        .min(1)
        .max(20),
      lot: Joi.object({ id: idField.required(), code: nameField.required() }),
    }),
  ),
  photo: idField,
  minutes: positiveField,
  wait: idField,
  yieldGrams: positiveField,
};

/** What happened, in order. */
export const entriesSchema = Joi.array().items(Joi.object(entryFields)).max(MOST_ENTRIES).required();

const MOST_LOOKS = 2_000;
const word = Joi.string().allow("").max(60);

/** A look at a sample that was put aside. */
const look = Joi.object({
  storage: Joi.string()
    .valid(...storages)
    .required(),
  at: moment.required(),
  ph: orUnknown(phField),
  viscosity: orUnknown(positiveField),
  said: textField,
  clarity: Joi.string().valid("", ...clarityLooks),
  colour: word,
  smell: word,
  sedimentMm: orUnknown(notNegativeField.max(1_000)),
  lab: orUnknown(
    Joi.object({
      l: notNegativeField.max(110).required(),
      a: Joi.number().min(-150).max(150).required(),
      b: Joi.number().min(-150).max(150).required(),
    }),
  ),
  hazePercent: orUnknown(notNegativeField.max(100)),
  /** Of the bench room, °C. */
  roomC: orUnknown(Joi.number().min(-10).max(60)),
  signs: Joi.array()
    .items(Joi.string().valid(...spoilSigns))
    .max(spoilSigns.length),
  note: Joi.string().allow("").max(500),
});

const mark = Joi.number().integer().min(1).max(5);
const height = orUnknown(notNegativeField.max(1_000));
const seconds = orUnknown(positiveField.max(3_600));

/** Foam of 1 % in a cylinder, ten shakes, mm; washed with, in seconds; or weighed. */
const latherTest = Joi.object({
  at: moment.required(),
  way: Joi.string()
    .valid(...latherWays)
    .default("shake"),
  atOnceMm: height,
  afterOneMinuteMm: height,
  afterFiveMinutesMm: height,
  bubbles: Joi.string()
    .valid(...bubbleSizes)
    .required(),
  latherSeconds: seconds,
  rinseSeconds: seconds,
  foamGrams: orUnknown(positiveField),
  foamMillilitres: orUnknown(positiveField),
  slip: orUnknown(mark),
  rinse: orUnknown(mark),
  afterFeel: orUnknown(mark),
  scent: orUnknown(mark),
  note: textField,
});

const MOST_TESTERS = 60;

/** Cups of this batch and another, and what each tester said; which of the two this one is. */
const blindTest = Joi.object({
  kind: Joi.string()
    .valid(...blindKinds)
    .required(),
  question: Joi.string().max(120).required(),
  begunAt: moment.required(),
  thisIs: Joi.string().valid("A", "B").required(),
  sheets: Joi.array()
    .items(
      Joi.object({
        tester: Joi.number().integer().min(1).max(MOST_TESTERS).required(),
        codes: Joi.array().items(Joi.string().max(3)).min(2).max(3).required(),
        cups: Joi.array().items(Joi.string().valid("A", "B")).min(2).max(3).required(),
        chosen: orUnknown(Joi.string().max(3)),
        ratings: orUnknown(Joi.array().items(mark).min(2).max(3)),
        note: Joi.string().allow("").max(200),
      }),
    )
    .max(MOST_TESTERS),
});

/** A patch on skin for a day; testers are numbers. */
const patchTest = Joi.object({
  tester: Joi.number().integer().min(1).max(999).required(),
  putOnAt: moment.required(),
  lookedAt: orUnknown(moment),
  seen: orUnknown(Joi.string().valid(...patchSeen)),
  note: textField,
});

/** The record of a batch: what it was planned from, its lots, and everything that was entered. */
export const batchSchema = Joi.object({
  format: Joi.string().valid("tensidrum-batch/1").required(),
  code: nameField.required(),
  coreVersion: nameField,
  startedAt: moment.required(),
  finishedAt: orUnknown(moment),
  formula: formulaSchema.required(),
  lots: Joi.array()
    .items(Joi.object({ line: idField.required(), code: nameField.required(), grams: positiveField.required() }))
    .max(MOST_ENTRIES),
  entries: entriesSchema,
  checks: Joi.array().items(look).max(MOST_LOOKS),
  lather: Joi.array().items(latherTest).max(MOST_LOOKS),
  blindTests: Joi.array().items(blindTest).max(MOST_LOOKS),
  patchTests: Joi.array().items(patchTest).max(MOST_LOOKS),
});
