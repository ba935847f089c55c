import { redirect } from "react-router";
import { answer } from "../frame/answer.server";
import { formOf } from "../frame/readForm.server";
import { readNewFormulaForm } from "./forms.server";
import { beginFormula } from "./saveSheet.server";
import type { Route } from "./+types/newSheetRoute";

export const loader = () => redirect("/");

export const action = answer(async ({ request }: Route.ActionArgs) => {
  const ids = readNewFormulaForm(await formOf(request));
  await beginFormula(ids);
  return redirect(`/sheet/${ids.formulaId}`);
});
