import { Refusal } from "@tensidrum/core/quantities";
import { textProblem, withHiddenMarked } from "@tensidrum/core/quantities";
import Joi from "joi";

/** An identifier as our pages make them: a UUID in small letters. Other ways to write one are none here. */
export const idField = Joi.string().pattern(/^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/);

/**
 * The form a request carries. Characters that do not show or cannot be stored are marked in it, so that whoever reads the
 * field tells of them and shows where they stood.
 * @throws Refusal when it is no form.
 */
export async function formOf(request: Request): Promise<FormData> {
  const sent = await request.formData().catch(() => null);
  if (sent === null) throw new Refusal("not-possible", "What was sent is not a form.", "Load the page again and repeat it.");
  const form = new FormData();
  for (const [name, value] of sent) form.append(withHiddenMarked(name), typeof value === "string" ? withHiddenMarked(value) : value);
  return form;
}

interface FormOptions extends Joi.ValidationOptions {
  /** The service names the field of a text with a marked character; without it the whole form is refused. */
  readonly tellsOfMarks?: boolean;
}

/**
 * Reads what a form of ours sent; fields the schema does not ask for are left out unless the options say otherwise.
 * @throws Refusal when it is nothing the page could have sent.
 */
export function readForm<Typed>(
  schema: Joi.ObjectSchema<Typed>,
  form: unknown,
  { tellsOfMarks = false, ...options }: FormOptions = { stripUnknown: true },
): Typed {
  const { value, error } = schema.required().validate(form instanceof FormData ? Object.fromEntries(form) : form, options);
  if (error !== undefined) {
    throw new Refusal("not-possible", "The form is not as this page sends it.", "Load the page again and repeat it.");
  }
  const marked = tellsOfMarks ? null : markedText(value, "");
  if (marked !== null) throw new Refusal("not-valid", `${marked.field}: ${marked.problem}`, "Go back and correct the field.");
  return value as Typed;
}

function markedText(value: unknown, field: string): { readonly field: string; readonly problem: string } | null {
  if (typeof value === "string") {
    const problem = textProblem(value);
    return problem === null ? null : { field, problem };
  }
  if (typeof value !== "object" || value === null) return null;
  for (const [key, each] of Object.entries(value)) {
    const found = markedText(each, field === "" ? key : field);
    if (found !== null) return found;
  }
  return null;
}
