import { answer } from "../frame/answer.server";
import { readQuestions } from "../frame/readForm.server";
import type { Route } from "./+types/compareListRoute";
import { compareQuestions, openCompare } from "./compareList.server";
import { CompareList } from "./CompareList";

export const loader = answer(async ({ request }: Route.LoaderArgs) => openCompare(readQuestions(compareQuestions, request)));

export default function CompareListRoute({ loaderData }: Route.ComponentProps) {
  return <CompareList open={loaderData} />;
}
