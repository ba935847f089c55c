import { answer } from "../../frame/answer.server";
import { readBatchId } from "../forms.server";
import type { Route } from "./+types/recordRoute";
import { openRecord } from "./record.server";
import { RecordPage } from "./RecordPage";

export const loader = answer(async ({ params }: Route.LoaderArgs) => openRecord(readBatchId(params.batch)));

export default function RecordRoute({ loaderData }: Route.ComponentProps) {
  return <RecordPage record={loaderData} />;
}
