import { answer } from "../frame/answer.server";
import { formOf } from "../frame/readForm.server";
import type { Route } from "./+types/answersRoute";
import { answerFinding, readAnswerForm } from "./answers.server";
import { readSheetAddress } from "./forms.server";

export const action = answer(async ({ params, request }: Route.ActionArgs) =>
  answerFinding(readSheetAddress({ formulaId: params.formulaId }).formulaId, readAnswerForm(await formOf(request))),
);
