import { answer } from "../../frame/answer.server";
import { readBatchId } from "../forms.server";
import type { Route } from "./+types/photoRoute";
import { photoOf } from "./record.server";

export const loader = answer(async ({ params }: Route.LoaderArgs) => photoOf(readBatchId(params.batch), readBatchId(params.photo)));
