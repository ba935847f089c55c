import { answer } from "../../frame/answer.server";
import { readBatchId, readPosition } from "../forms.server";
import type { Route } from "./+types/newsRoute";
import { newsOf } from "./news.server";

export const loader = answer(async ({ params, request }: Route.LoaderArgs) =>
  newsOf(readBatchId(params.batch), readPosition(request), request.signal),
);
