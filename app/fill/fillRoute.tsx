import { answer } from "../frame/answer.server";
import { partQuestions } from "../frame/listParts.server";
import { readQuestions } from "../frame/readForm.server";
import type { Route } from "./+types/fillRoute";
import { openFill } from "./fillList.server";
import { FillList } from "./FillList";

export const loader = answer(async ({ request }: Route.LoaderArgs) => openFill(readQuestions(partQuestions, request).behind));

export default function FillRoute({ loaderData }: Route.ComponentProps) {
  return <FillList open={loaderData} />;
}
