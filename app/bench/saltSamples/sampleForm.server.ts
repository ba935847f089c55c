import { thicknessUnits } from "@tensidrum/core/process";
import Joi from "joi";
import { choice, group, id, text, type TypedOf } from "../../frame/fields.server";
import { beadFields, thicknessWays } from "../batch/benchForm";

const cell = text(40);

/** A sample as typed, or what is to happen to one. */
export const sampleForm = group({
  id: id(),
  intent: choice(["add", "remove", "put-back"]),
  baseGrams: cell,
  saltGrams: cell,
  by: choice(thicknessWays, "Pa·s"),
  viscosity: cell,
  word: cell,
  bead: group(Object.fromEntries(beadFields.map((field) => [field, cell])) as Record<(typeof beadFields)[number], typeof cell>),
  /** Of one that is put back, as it was. */
  salt: Joi.number().min(0).max(30).default(0),
  unit: choice(thicknessUnits, "Pa·s"),
  said: text(120),
});
export type TypedSample = TypedOf<typeof sampleForm>;
