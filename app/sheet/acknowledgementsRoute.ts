import { answer } from "../frame/answer.server";
import { formOf } from "../frame/readForm.server";
import type { Route } from "./+types/acknowledgementsRoute";
import { acknowledgeFinding, readAcknowledgementForm } from "./acknowledgements.server";
import { readSheetAddress } from "./forms.server";

export const action = answer(async ({ params, request }: Route.ActionArgs) =>
  acknowledgeFinding(readSheetAddress({ formulaId: params.formulaId }).formulaId, readAcknowledgementForm(await formOf(request))),
);
