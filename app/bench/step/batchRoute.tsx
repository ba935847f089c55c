import { redirect, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { takeForm } from "../../frame/readForm.server";
import { overdrawnLots } from "../lots/lots.server";
import { sendBatch } from "../batch/stored.server";
import { benchForm, readBatchId } from "../forms.server";
import { enter } from "../queue/takeEntries.server";
import type { Route } from "./+types/batchRoute";
import { BatchPage } from "./BatchPage";

export const loader = answer(async ({ params }: Route.LoaderArgs) => {
  const batchId = readBatchId(params.batch);
  const [sent, short] = await Promise.all([sendBatch(batchId), overdrawnLots(batchId)]);
  return { sent, short, newId: crypto.randomUUID() };
});

/** For a page without scripts; with them entries are queued and sent on their own. */
export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const batchId = readBatchId(params.batch);
  return takeForm(benchForm, request, async (typed) => {
    const problems = await enter(batchId, typed);
    if (problems.length > 0) return problems;
    return redirect(typed.intent === "finish" || typed.intent === "discard" ? `/bench/${batchId}/record` : `/bench/${batchId}`);
  });
});

export default function BatchRoute({ loaderData: { sent, short, newId } }: Route.ComponentProps) {
  const refused = useActionData<typeof action>();
  return <BatchPage key={sent.id} sent={sent} short={short} newId={newId} refused={refused ?? null} />;
}
