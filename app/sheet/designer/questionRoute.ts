import { answer } from "../../frame/answer.server";
import type { Route } from "./+types/questionRoute";
import { openDesigner } from "./designer.server";
import { readDesigned } from "./designerForms.server";

/** What the designer of a sheet needs, for the Sheet itself to be fixed by. */
export const loader = answer(async ({ params }: Route.LoaderArgs) => {
  const { formulaId, number } = readDesigned(params);
  return Response.json(await openDesigner(formulaId, number), { headers: { "Cache-Control": "private, no-store" } });
});
