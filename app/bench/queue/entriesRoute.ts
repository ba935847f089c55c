import { answer } from "../../frame/answer.server";
import { readBatchId, readSentEntries } from "../forms.server";
import type { Route } from "./+types/entriesRoute";
import { takeEntries } from "./takeEntries.server";

export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const { behind, entries } = await readSentEntries(request);
  return Response.json(await takeEntries(readBatchId(params.batch), entries, behind));
});
