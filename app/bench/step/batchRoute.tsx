import { data, redirect, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { formOf } from "../../frame/readForm.server";
import { sendBatch } from "../batch/stored.server";
import { readBatchId, readBenchForm } from "../forms.server";
import { enter } from "../queue/takeEntries.server";
import type { Route } from "./+types/batchRoute";
import { BatchPage } from "./BatchPage";

export const loader = answer(async ({ params }: Route.LoaderArgs) => ({
  sent: await sendBatch(readBatchId(params.batch)),
  newId: crypto.randomUUID(),
}));

/** For a page without scripts; with them entries are queued and sent on their own. */
export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const batchId = readBatchId(params.batch);
  const form = readBenchForm(await formOf(request));
  const problem = await enter(batchId, form);
  if (problem !== null) return data({ problem, form }, { status: 422 });
  return redirect(form.intent === "finish" ? `/bench/${batchId}/record` : `/bench/${batchId}`);
});

export default function BatchRoute({ loaderData: { sent, newId } }: Route.ComponentProps) {
  const refused = useActionData<typeof action>();
  return <BatchPage key={sent.id} sent={sent} newId={newId} refused={refused ?? null} />;
}
