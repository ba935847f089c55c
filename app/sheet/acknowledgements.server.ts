import { Refusal } from "@tensidrum/core/quantities";
import { findingCodes } from "@tensidrum/core/findings";
import { textProblem } from "@tensidrum/core/quantities";
import Joi from "joi";
import { currentMakerId, database } from "../../db/workplace.server";
import { deleteAcknowledgement, saveAcknowledgement } from "../../db/acknowledgements/queries.server";

interface AcknowledgementForm {
  readonly intent: "keep" | "take-back";
  readonly code: string;
  readonly fingerprint: string;
  readonly reason: string;
}

const schema = Joi.object<AcknowledgementForm>({
  intent: Joi.string().valid("keep", "take-back").required(),
  code: Joi.string()
    .valid(...findingCodes)
    .required(),
  fingerprint: Joi.string()
    .pattern(/^(?:[0-9a-f]{64}|said:.{1,1000})$/s)
    .required(),
  reason: Joi.when("intent", {
    is: "keep",
    then: Joi.string().trim().min(1).max(500).required(),
    otherwise: Joi.string().allow("").default(""),
  }),
});

/** Reads the form that acknowledges a finding. */
export function readAcknowledgementForm(form: FormData): AcknowledgementForm {
  const { value, error } = schema.validate(Object.fromEntries(form), { abortEarly: true });
  if (error !== undefined)
    throw new Refusal("not-valid", "An acknowledgement needs a reason of up to 500 characters.", "Write why it is right for this formula.");
  const problem = textProblem(value.reason);
  if (problem !== null) throw new Refusal("not-valid", `Of the reason: ${problem}`, "Nothing was kept.");
  return value;
}

/** Keeps or deletes an acknowledgement of a finding of one's own formula. */
export async function acknowledgeFinding(
  formulaId: string,
  { intent, code, fingerprint, reason }: AcknowledgementForm,
): Promise<{ readonly kept: boolean }> {
  const db = database();
  const makerId = currentMakerId();
  const done =
    intent === "keep"
      ? await saveAcknowledgement(db, makerId, formulaId, { code, fingerprint, reason })
      : await deleteAcknowledgement(db, makerId, formulaId, { code, fingerprint });
  if (!done) throw new Refusal("not-found", "This formula or its acknowledgement is not here.", "Load the page again.");
  return { kept: intent === "keep" };
}
