import { Refusal } from "@tensidrum/core/quantities";
import { findingCodes } from "@tensidrum/core/findings";
import Joi from "joi";
import { choice, group, text, type TypedOf } from "../frame/fields.server";
import type { FieldProblem } from "../frame/formAnswer";
import { currentMakerId, database } from "../../db/workplace.server";
import { deleteAcknowledgement, saveAcknowledgement } from "../../db/acknowledgements/queries.server";

/** What acknowledges a finding of a formula, or takes that back. */
export const acknowledgementForm = group({
  intent: choice(["keep", "take-back"]),
  code: choice(findingCodes),
  fingerprint: Joi.string()
    .pattern(/^(?:[0-9a-f]{64}|said:.{1,1000})$/s)
    .required(),
  reason: text(500),
});

/** Keeps or deletes an acknowledgement of a finding of one's own formula. */
export async function acknowledgeFinding(
  formulaId: string,
  { intent, code, fingerprint, reason }: TypedOf<typeof acknowledgementForm>,
): Promise<{ readonly kept: boolean } | readonly FieldProblem[]> {
  if (intent === "keep" && reason === "") return [{ field: "reason", message: "Write why it is right for this formula." }];
  const db = database();
  const makerId = currentMakerId();
  const done =
    intent === "keep"
      ? await saveAcknowledgement(db, makerId, formulaId, { code, fingerprint, reason })
      : await deleteAcknowledgement(db, makerId, formulaId, { code, fingerprint });
  if (!done) throw new Refusal("not-found", "This formula or its acknowledgement is not here.", "Load the page again.");
  return { kept: intent === "keep" };
}
