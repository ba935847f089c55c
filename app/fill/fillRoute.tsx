import { answer } from "../frame/answer.server";
import type { Route } from "./+types/fillRoute";
import { openFill } from "./fillList.server";
import { FillList } from "./FillList";

export const loader = answer(async () => openFill());

export default function FillRoute({ loaderData }: Route.ComponentProps) {
  return <FillList open={loaderData} />;
}
