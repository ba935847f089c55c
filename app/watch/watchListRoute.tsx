import { answer } from "../frame/answer.server";
import { partQuestions } from "../frame/listParts.server";
import { readQuestions } from "../frame/readForm.server";
import type { Route } from "./+types/watchListRoute";
import { openWatchList } from "./watch.server";
import { WatchList } from "./WatchList";

export const loader = answer(async ({ request }: Route.LoaderArgs) => openWatchList(readQuestions(partQuestions, request).behind));

export default function WatchListRoute({ loaderData }: Route.ComponentProps) {
  return <WatchList open={loaderData} />;
}
