import { answer } from "../frame/answer.server";
import type { Route } from "./+types/recordFileRoute";
import { batchFile } from "./bench.server";
import { readBatchId } from "./forms.server";

export const loader = answer(async ({ params }: Route.LoaderArgs) => batchFile(readBatchId(params.batch)));
