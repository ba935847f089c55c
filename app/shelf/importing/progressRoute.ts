import { answer } from "../../frame/answer.server";
import type { Route } from "./+types/progressRoute";
import { progressOf } from "./progress.server";

const LONGEST_ID = 40;

/** How far an import has got, for the bar on its page. */
export const loader = answer(async ({ request }: Route.LoaderArgs) => {
  const job = (new URL(request.url).searchParams.get("job") ?? "").slice(0, LONGEST_ID);
  return Response.json(progressOf(job), { headers: { "Cache-Control": "private, no-store" } });
});
