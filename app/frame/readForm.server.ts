import { Refusal } from "@tensidrum/core/formula";
import type Joi from "joi";

/**
 * Reads what a form of ours sent; fields the schema does not ask for are left out unless the options say otherwise.
 * @throws Refusal when it is nothing the page could have sent.
 */
export function readForm<Typed>(
  schema: Joi.ObjectSchema<Typed>,
  form: unknown,
  options: Joi.ValidationOptions = { stripUnknown: true },
): Typed {
  const { value, error } = schema.validate(form instanceof FormData ? Object.fromEntries(form) : form, options);
  if (error !== undefined) {
    throw new Refusal("not-possible", "The form is not as this page sends it.", "Load the page again and repeat it.");
  }
  return value;
}
