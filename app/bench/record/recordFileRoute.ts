import { answer } from "../../frame/answer.server";
import { readBatchId } from "../forms.server";
import type { Route } from "./+types/recordFileRoute";
import { batchFile } from "./record.server";
import { recordPdf } from "./recordPdf.server";
import { waitsCalendar } from "./waits.server";

/** The record of a batch as a file: by the end of its address. */
export const loader = answer(async ({ params, request }: Route.LoaderArgs) => {
  const batchId = readBatchId(params.batch);
  const { pathname } = new URL(request.url);
  if (pathname.endsWith(".pdf")) return recordPdf(batchId);
  return pathname.endsWith(".ics") ? waitsCalendar(batchId) : batchFile(batchId);
});
