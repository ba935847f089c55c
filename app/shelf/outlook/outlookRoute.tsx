import { answer } from "../../frame/answer.server";
import type { Route } from "./+types/outlookRoute";
import { openOutlook } from "./outlook.server";
import { OutlookPage } from "./OutlookPage";

export const loader = answer(async () => openOutlook());

export default function OutlookRoute({ loaderData }: Route.ComponentProps) {
  return <OutlookPage open={loaderData} />;
}
