import { answer } from "../frame/answer.server";
import type { Route } from "./+types/benchRoute";
import { BenchList } from "./BenchList";
import { partQuestions } from "../frame/listParts.server";
import { readQuestions } from "../frame/readForm.server";
import { openBench } from "./bench.server";

export const loader = answer(async ({ request }: Route.LoaderArgs) => openBench(readQuestions(partQuestions, request).behind));

export default function BenchRoute({ loaderData }: Route.ComponentProps) {
  return <BenchList bench={loaderData} />;
}
