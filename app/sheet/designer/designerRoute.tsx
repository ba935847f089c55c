import { data, type ShouldRevalidateFunctionArgs } from "react-router";
import { answer } from "../../frame/answer.server";
import { takeForm } from "../../frame/readForm.server";
import type { Route } from "./+types/designerRoute";
import { draftForBlend, openDesigner } from "./designer.server";
import { blendForm, readDesigned } from "./designerForms.server";
import { DesignerPage } from "./DesignerPage";

export const loader = answer(async ({ params }: Route.LoaderArgs) => {
  const { formulaId, number } = readDesigned(params);
  return openDesigner(formulaId, number);
});

/** Wishes stand in the address and are answered in the browser. */
export function shouldRevalidate({ currentUrl, nextUrl, formMethod, defaultShouldRevalidate }: ShouldRevalidateFunctionArgs): boolean {
  return currentUrl.pathname === nextUrl.pathname && formMethod === undefined ? false : defaultShouldRevalidate;
}

/** Opens the draft a blend goes into; the page takes it there. */
export const action = answer(async ({ request, params }: Route.ActionArgs) => {
  const { formulaId } = readDesigned(params);
  return takeForm(blendForm, request, async (typed) => {
    const opened = await draftForBlend(formulaId, typed);
    return "problems" in opened ? opened.problems : data(opened);
  });
});

export default function DesignerRoute({ loaderData }: Route.ComponentProps) {
  return <DesignerPage open={loaderData} key={`${loaderData.formulaId} ${loaderData.number}`} />;
}
