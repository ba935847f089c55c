import { redirect, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { takeForm } from "../../frame/readForm.server";
import { readBatchId } from "../forms.server";
import type { Route } from "./+types/lotsRoute";
import { correctOverdrawn, openOverdrawn } from "./lots.server";
import { LotsPage } from "./LotsPage";
import { lotsForm } from "./lotsForm.server";

export const loader = answer(async ({ params }: Route.LoaderArgs) => openOverdrawn(readBatchId(params.batch)));

export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const batchId = readBatchId(params.batch);
  return takeForm(lotsForm, request, async (typed) => {
    const problems = await correctOverdrawn(batchId, typed);
    return problems.length > 0 ? problems : redirect(`/bench/${batchId}/lots`);
  });
});

export default function LotsRoute({ loaderData }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  return <LotsPage batch={loaderData} answered={answered ?? null} />;
}
