import { redirect, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { takeForm } from "../../frame/readForm.server";
import { readBatchId } from "../forms.server";
import type { Route } from "./+types/whereaboutsRoute";
import { keepGiven } from "./trace.server";
import { givenForm } from "./traceForm.server";
import { openWhereabouts } from "./whereabouts.server";
import { WhereaboutsPage } from "./WhereaboutsPage";

export const loader = answer(async ({ params }: Route.LoaderArgs) => openWhereabouts(readBatchId(params.batch)));

export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const batch = readBatchId(params.batch);
  return takeForm(givenForm, request, async (typed) => {
    const problems = await keepGiven(typed);
    return problems.length > 0 ? problems : redirect(`/fill/${batch}/containers`);
  });
});

export default function WhereaboutsRoute({ loaderData }: Route.ComponentProps) {
  return <WhereaboutsPage open={loaderData} answered={useActionData<typeof action>() ?? null} />;
}
