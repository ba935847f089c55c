import { answer } from "../../frame/answer.server";
import type { Route } from "./+types/compareRoute";
import { Compare } from "./Compare";
import { readQuestions } from "../../frame/readForm.server";
import { compareQuestions } from "../forms.server";
import { openCompare } from "./compare.server";

export const loader = answer(async ({ request }: Route.LoaderArgs) => {
  const { one, other } = readQuestions(compareQuestions, request);
  return openCompare(one, other);
});

export default function CompareRoute({ loaderData }: Route.ComponentProps) {
  return <Compare compared={loaderData} />;
}
