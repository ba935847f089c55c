import { answer } from "../../frame/answer.server";
import { readQuestions } from "../../frame/readForm.server";
import { progressQuestions } from "./importForm.server";
import type { Route } from "./+types/progressRoute";
import { progressOf } from "./progress.server";

/** How far an import has got, for the bar on its page. */
export const loader = answer(async ({ request }: Route.LoaderArgs) => {
  const { job } = readQuestions(progressQuestions, request);
  return Response.json(progressOf(job), { headers: { "Cache-Control": "private, no-store" } });
});
