import { answer } from "../../frame/answer.server";
import { takeForm } from "../../frame/readForm.server";
import type { Route } from "./+types/questionRoute";
import { draftForBlend, openDesigner } from "./designer.server";
import { blendForm, readDesigned } from "./designerForms.server";

/** What the designer of a sheet needs, for the Sheet itself to be fixed by. */
export const loader = answer(async ({ params }: Route.LoaderArgs) => {
  const { formulaId, number } = readDesigned(params);
  return Response.json(await openDesigner(formulaId, number), { headers: { "Cache-Control": "private, no-store" } });
});

/** Notes what the Sheet took. */
export const action = answer(async ({ request, params }: Route.ActionArgs) => {
  const { formulaId } = readDesigned(params);
  return takeForm(blendForm, request, async (typed) => {
    const opened = await draftForBlend(formulaId, typed);
    return "problems" in opened ? opened.problems : Response.json(opened);
  });
});
