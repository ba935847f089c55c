import { answer } from "../../frame/answer.server";
import { readLotId } from "../../frame/lotId.server";
import type { Route } from "./+types/traceFileRoute";
import { traceFile } from "./trace.server";

/** What is to be fetched, as a table for a spreadsheet. */
export const loader = answer(async ({ params }: Route.LoaderArgs) => traceFile(readLotId(params.lot)));
