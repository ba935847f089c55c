import Joi from "joi";
import { Refusal } from "@tensidrum/core/quantities";
import { choice, group, id, text, type TypedOf } from "../../frame/fields.server";
import { readAddress } from "../../frame/readForm.server";

/** A blend is taken into the draft that is open, the next one, or a trial. */
export const blendForm = group({ version: id(), sentence: text(500), into: choice(["draft", "next", "trial"]) });
export type TypedBlend = TypedOf<typeof blendForm>;

const address = Joi.object<{ formulaId: string; number?: number }>({
  formulaId: id(),
  number: Joi.number().integer().min(1).max(1_000_000),
});

/** @throws Refusal where no version can lie at the address */
export function readDesigned(params: object): { readonly formulaId: string; readonly number?: number } {
  return readAddress(
    address,
    params,
    () => new Refusal("not-found", "No version lies at this address.", "Go back to Today and open it from there."),
  );
}
