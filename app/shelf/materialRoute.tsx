import { data, redirect, useActionData } from "react-router";
import { answer } from "../frame/answer.server";
import { formOf } from "../frame/readForm.server";
import type { Route } from "./+types/materialRoute";
import { readMaterialSlug, readMovementForm } from "./forms.server";
import { MaterialPage } from "./MaterialPage";
import { openMaterial } from "./openMaterial.server";
import { moveByHand } from "./stock.server";

export const loader = answer(async ({ params }: Route.LoaderArgs) => openMaterial(readMaterialSlug(params.material)));

export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const slug = readMaterialSlug(params.material);
  const typed = readMovementForm(await formOf(request));
  const problem = await moveByHand(typed);
  return problem === null ? redirect(`/shelf/${slug}`) : data({ problem, typed }, { status: 422 });
});

export default function MaterialRoute({ loaderData }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  return <MaterialPage material={loaderData} answered={answered ?? null} />;
}
