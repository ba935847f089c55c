import { answer } from "../frame/answer.server";
import type { Route } from "./+types/benchRoute";
import { BenchList } from "./BenchList";
import { openBench } from "./bench.server";

export const loader = answer(async (_: Route.LoaderArgs) => openBench());

export default function BenchRoute({ loaderData }: Route.ComponentProps) {
  return <BenchList bench={loaderData} />;
}
