import { answer } from "../frame/answer.server";
import { lanNotice } from "../frame/lanNotice.server";
import type { Route } from "./+types/todayRoute";
import { Today } from "./Today";
import { openToday, readPage } from "./today.server";

export const loader = answer(async ({ request }: Route.LoaderArgs) => openToday(readPage(request), lanNotice(request)));

export default function TodayRoute({ loaderData }: Route.ComponentProps) {
  return <Today board={loaderData} />;
}
