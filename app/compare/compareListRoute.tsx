import { answer } from "../frame/answer.server";
import type { Route } from "./+types/compareListRoute";
import { openCompare } from "./compareList.server";
import { CompareList } from "./CompareList";

export const loader = answer(async () => openCompare());

export default function CompareListRoute({ loaderData }: Route.ComponentProps) {
  return <CompareList open={loaderData} />;
}
