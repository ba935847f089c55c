import { answer } from "../frame/answer.server";
import { formOf } from "../frame/readForm.server";
import type { Route } from "./+types/saveRoute";
import { readSheetAddress } from "./forms.server";
import { answerSave } from "./sheetAction.server";

/** For the page that saves itself while one types: the answer is data, and no page is loaded again. */
export const action = answer(async ({ params, request }: Route.ActionArgs) =>
  answerSave(readSheetAddress({ formulaId: params.formulaId }).formulaId, await formOf(request)),
);
