import { answer } from "../frame/answer.server";
import { takeForm } from "../frame/readForm.server";
import type { Route } from "./+types/acknowledgementsRoute";
import { acknowledgeFinding, acknowledgementForm } from "./acknowledgements.server";
import { readSheetAddress } from "./forms.server";

export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const { formulaId } = readSheetAddress({ formulaId: params.formulaId });
  return takeForm(acknowledgementForm, request, (typed) => acknowledgeFinding(formulaId, typed));
});
