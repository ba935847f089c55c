import { answer } from "../../frame/answer.server";
import type { Route } from "./+types/compareRoute";
import { Compare } from "./Compare";
import { openCompare } from "./compare.server";

const LONGEST_NAME = 200;

export const loader = answer(async ({ request }: Route.LoaderArgs) => {
  const asked = new URL(request.url).searchParams;
  const name = (key: string): string => (asked.get(key) ?? "").slice(0, LONGEST_NAME);
  return openCompare(name("one"), name("other"));
});

export default function CompareRoute({ loaderData }: Route.ComponentProps) {
  return <Compare compared={loaderData} />;
}
