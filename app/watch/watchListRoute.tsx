import { answer } from "../frame/answer.server";
import type { Route } from "./+types/watchListRoute";
import { openWatchList } from "./watch.server";
import { WatchList } from "./WatchList";

export const loader = answer(async () => openWatchList());

export default function WatchListRoute({ loaderData }: Route.ComponentProps) {
  return <WatchList open={loaderData} />;
}
