import { redirect, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { takeForm } from "../../frame/readForm.server";
import { benchForm, readBatchId } from "../forms.server";
import { enter } from "../queue/takeEntries.server";
import type { Route } from "./+types/fillingRoute";
import { openFilling } from "./filling.server";
import { FillingPage } from "./FillingPage";

export const loader = answer(async ({ params }: Route.LoaderArgs) => openFilling(readBatchId(params.batch)));

/** For a page without scripts; with them entries are queued and sent on their own. */
export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const batchId = readBatchId(params.batch);
  return takeForm(benchForm, request, async (typed) => {
    const problems = await enter(batchId, typed);
    return problems.length > 0 ? problems : redirect(`/fill/${batchId}`);
  });
});

export default function FillingRoute({ loaderData }: Route.ComponentProps) {
  const refused = useActionData<typeof action>();
  return <FillingPage key={loaderData.sent.id} open={loaderData} refused={refused ?? null} />;
}
