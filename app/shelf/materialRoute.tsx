import { redirect, useActionData } from "react-router";
import { answer } from "../frame/answer.server";
import { partQuestions } from "../frame/listParts.server";
import { readQuestions, takeForm } from "../frame/readForm.server";
import type { Route } from "./+types/materialRoute";
import { movementForm, readMaterialSlug } from "./forms.server";
import { MaterialPage } from "./MaterialPage";
import { openMaterial } from "./openMaterial.server";
import { moveByHand } from "./stock.server";

export const loader = answer(async ({ params, request }: Route.LoaderArgs) =>
  openMaterial(readMaterialSlug(params.material), readQuestions(partQuestions, request).behind),
);

export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const slug = readMaterialSlug(params.material);
  return takeForm(movementForm, request, async (typed) => {
    const problems = await moveByHand(typed);
    return problems.length > 0 ? problems : redirect(`/shelf/${slug}`);
  });
});

export default function MaterialRoute({ loaderData }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  return <MaterialPage material={loaderData} answered={answered ?? null} />;
}
