import { data, redirect, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { formOf } from "../../frame/readForm.server";
import { readBatchId } from "../forms.server";
import type { Route } from "./+types/lotsRoute";
import { correctOverdrawn, openOverdrawn } from "./lots.server";
import { LotsPage } from "./LotsPage";
import { readLotsForm } from "./lotsForm.server";

export const loader = answer(async ({ params }: Route.LoaderArgs) => openOverdrawn(readBatchId(params.batch)));

export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const batchId = readBatchId(params.batch);
  const form = readLotsForm(await formOf(request));
  const problem = await correctOverdrawn(batchId, form);
  return problem === null ? redirect(`/bench/${batchId}/lots`) : data({ problem, form }, { status: 422 });
});

export default function LotsRoute({ loaderData }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  return <LotsPage batch={loaderData} answered={answered ?? null} />;
}
