import { redirect } from "react-router";
import { answer } from "../frame/answer.server";
import { takeForm } from "../frame/readForm.server";
import { newFormulaForm } from "./forms.server";
import { beginFormula } from "./saveSheet.server";
import type { Route } from "./+types/newSheetRoute";

export const loader = () => redirect("/");

export const action = answer(async ({ request }: Route.ActionArgs) =>
  takeForm(newFormulaForm, request, async (ids) => {
    await beginFormula(ids);
    return redirect(`/sheet/${ids.formulaId}`);
  }),
);
