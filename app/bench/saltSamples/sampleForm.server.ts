import { thicknessUnits, type ThicknessUnit } from "@tensidrum/core/process";
import Joi from "joi";
import { idField, readForm } from "../../frame/readForm.server";
import { beadFields, thicknessWays, type BenchForm } from "../batch/benchForm";

/** A jar as typed, or what is to happen to one. */
export interface SaltSampleForm extends Pick<BenchForm, "by" | "viscosity" | "word" | "bead"> {
  readonly id: string;
  readonly intent: "add" | "remove" | "put-back";
  readonly baseGrams: string;
  readonly saltGrams: string;
  /** Of one that is put back, as it was. */
  readonly salt: number;
  readonly unit: ThicknessUnit;
  readonly said: string;
}

const text = (most: number) => Joi.string().allow("").trim().max(most).default("");

const saltSample = Joi.object<SaltSampleForm>({
  id: idField.required(),
  intent: Joi.string().valid("add", "remove", "put-back").required(),
  baseGrams: text(40),
  saltGrams: text(40),
  by: Joi.string()
    .valid(...thicknessWays)
    .default("Pa·s"),
  viscosity: text(40),
  word: text(40),
  bead: Joi.object(Object.fromEntries(beadFields.map((field) => [field, text(20)]))),
  salt: Joi.number().min(0).max(30).default(0),
  unit: Joi.string()
    .valid(...thicknessUnits)
    .default("Pa·s"),
  said: text(120),
});

export function readSaltSampleForm(form: FormData): SaltSampleForm {
  const {
    "bead-diameter": diameter,
    "bead-density": density,
    "bead-jar": width,
    "bead-fall": fall,
    "bead-seconds": seconds,
    ...rest
  } = Object.fromEntries([...form].map(([name, value]) => [name, String(value)]));
  return readForm(saltSample, { ...rest, bead: { diameter, density, saltSample: width, fall, seconds } });
}
