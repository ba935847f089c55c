import Joi from "joi";
import { idField, readForm } from "../../frame/readForm.server";

/** What a solution is to be, as typed. */
export interface SolutionForm {
  /** Slug of what is dissolved. */
  readonly of: string;
  readonly strength: string;
  readonly grams: string;
  readonly months: string;
  /** The lot the solute is taken from; empty for none. */
  readonly lot: string;
}

const words = (most: number, usual = "") => Joi.string().allow("").trim().max(most).empty("").default(usual);

const wish = {
  of: words(120),
  strength: words(20, "10"),
  grams: words(20, "100"),
  months: words(10, "3"),
  lot: idField.allow("").default(""),
};

const asked = Joi.object<SolutionForm>(wish);

const made = Joi.object<SolutionForm & { id: string; movementId: string }>({
  ...wish,
  id: idField.required(),
  movementId: idField.required(),
});

/** Reads a plan from the address; what it does not say stands at its usual value. */
export function readSolutionWish(address: URL): SolutionForm {
  const { value, error } = asked.validate(Object.fromEntries(address.searchParams), { stripUnknown: true });
  return error === undefined ? value : { of: "", strength: "10", grams: "100", months: "3", lot: "" };
}

export function readSolutionForm(form: FormData): SolutionForm & { readonly id: string; readonly movementId: string } {
  return readForm(made, form);
}
