import Joi from "joi";
import { idField, readForm } from "../../frame/readForm.server";

/** How a lot that gave more than it held is corrected, as typed. */
export interface LotsForm {
  readonly intent: "balance" | "other";
  readonly lotId: string;
  readonly movementId: string;
  readonly line: string;
  /** What is left in the lot. */
  readonly grams: string;
  /** The lot it was weighed from instead; empty while none is chosen. */
  readonly to: string;
}

const schema = Joi.object<LotsForm>({
  intent: Joi.string().valid("balance", "other").required(),
  lotId: idField.required(),
  movementId: idField.required(),
  line: Joi.string().max(80).required(),
  grams: Joi.string().allow("").trim().max(40).default(""),
  to: idField.allow("").default(""),
});

export function readLotsForm(form: FormData): LotsForm {
  return readForm(schema, form);
}
