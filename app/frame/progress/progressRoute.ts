import { answer } from "../answer.server";
import { readQuestions } from "../readForm.server";
import type { Route } from "./+types/progressRoute";
import { progressOf, progressQuestions } from "./progress.server";

/** How far a long job has got, for the bar on its page. */
export const loader = answer(async ({ request }: Route.LoaderArgs) => {
  const { job } = readQuestions(progressQuestions, request);
  return Response.json(progressOf(job), { headers: { "Cache-Control": "private, no-store" } });
});
