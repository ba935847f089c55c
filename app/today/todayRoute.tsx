import { answer } from "../frame/answer.server";
import { pairingDesk } from "../frame/requestContext.server";
import type { Route } from "./+types/todayRoute";
import { Today } from "./Today";
import { openToday, readPage } from "./today.server";

export const loader = answer(async ({ request, context }: Route.LoaderArgs) => openToday(readPage(request), context.get(pairingDesk)));

export default function TodayRoute({ loaderData }: Route.ComponentProps) {
  return <Today board={loaderData} />;
}
