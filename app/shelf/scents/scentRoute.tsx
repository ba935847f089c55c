import { redirect, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { readQuestions, takeForm } from "../../frame/readForm.server";
import type { Route } from "./+types/scentRoute";
import { doseQuestions, readScentId, scentForm } from "./scentForms.server";
import { ScentPage } from "./ScentPage";
import { keepScent, nextScentRound, openScent, removeScent } from "./scents.server";

export const loader = answer(async ({ params, request }: Route.LoaderArgs) =>
  openScent(readScentId(params.scent), readQuestions(doseQuestions, request)),
);

export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const scentId = readScentId(params.scent);
  const { search } = new URL(request.url);
  return takeForm(scentForm, request, async (typed) => {
    if (typed.intent === "delete") {
      await removeScent(scentId);
      return redirect("/scents");
    }
    if (typed.intent === "keep") {
      const kept = await keepScent(scentId, typed);
      return "slug" in kept ? redirect(`/shelf/${kept.slug}`) : kept;
    }
    const problems = await nextScentRound(scentId, typed);
    return problems.length > 0 ? problems : redirect(`/scents/${scentId}${search}`);
  });
});

export default function ScentRoute({ loaderData }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  return <ScentPage scent={loaderData} answered={answered ?? null} />;
}
