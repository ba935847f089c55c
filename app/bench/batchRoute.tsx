import { data, redirect, useActionData } from "react-router";
import { answer } from "../frame/answer.server";
import type { Route } from "./+types/batchRoute";
import { enter, openBatch } from "./bench.server";
import { BatchPage } from "./BatchPage";
import { readBatchId, readBenchForm } from "./forms.server";

export const loader = answer(async ({ params }: Route.LoaderArgs) => openBatch(readBatchId(params.batch)));

export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const batchId = readBatchId(params.batch);
  const form = readBenchForm(await request.formData());
  const problem = await enter(batchId, form);
  if (problem !== null) return data({ problem, form }, { status: 422 });
  return redirect(form.intent === "finish" ? `/bench/${batchId}/record` : `/bench/${batchId}`);
});

export default function BatchRoute({ loaderData }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  return <BatchPage batch={loaderData} answered={answered ?? null} />;
}
