import { redirect, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { takeForm } from "../../frame/readForm.server";
import { readWatched } from "../watchForms.server";
import type { Route } from "./+types/patchRoute";
import { changePatch, openPatchTests } from "./patch.server";
import { patchForm } from "./patchForms.server";
import { PatchPage } from "./PatchPage";

export const loader = answer(async ({ params }: Route.LoaderArgs) => openPatchTests(readWatched(params)));

export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const batch = readWatched(params);
  return takeForm(patchForm, request, async (typed) => {
    const problems = await changePatch(batch, typed);
    return problems.length > 0 ? problems : redirect(`/watch/${batch}/patch`);
  });
});

export default function PatchRoute({ loaderData }: Route.ComponentProps) {
  return <PatchPage open={loaderData} answered={useActionData<typeof action>() ?? null} />;
}
