import { data, redirect, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { formOf } from "../../frame/readForm.server";
import type { Route } from "./+types/scentRoute";
import { readDose, readScentForm, readScentId } from "./scentForms.server";
import { ScentPage } from "./ScentPage";
import { keepScent, nextScentRound, openScent, throwScentAway } from "./scents.server";

export const loader = answer(async ({ params, request }: Route.LoaderArgs) =>
  openScent(readScentId(params.scent), readDose(new URL(request.url))),
);

export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const scentId = readScentId(params.scent);
  const form = readScentForm(await formOf(request));
  if (form.intent === "delete") {
    await throwScentAway(scentId);
    return redirect("/scents");
  }
  if (form.intent === "keep") {
    const kept = await keepScent(scentId, form);
    return "slug" in kept ? redirect(`/shelf/${kept.slug}`) : data({ problem: kept.problem, round: null }, { status: 422 });
  }
  const problem = await nextScentRound(scentId, form.round);
  const { search } = new URL(request.url);
  return problem === null ? redirect(`/scents/${scentId}${search}`) : data({ problem, round: form.round }, { status: 422 });
});

export default function ScentRoute({ loaderData }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  return <ScentPage scent={loaderData} answered={answered ?? null} />;
}
