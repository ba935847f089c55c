import { answer } from "../frame/answer.server";
import { pairingDesk } from "../frame/requestContext.server";
import type { Route } from "./+types/todayRoute";
import { Today } from "./Today";
import { readQuestions } from "../frame/readForm.server";
import { openToday, todayQuestions } from "./today.server";

export const loader = answer(async ({ request, context }: Route.LoaderArgs) =>
  openToday(readQuestions(todayQuestions, request).page, context.get(pairingDesk)),
);

export default function TodayRoute({ loaderData }: Route.ComponentProps) {
  return <Today board={loaderData} />;
}
