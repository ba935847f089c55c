import { answer } from "../../frame/answer.server";
import { readVersionAddress } from "../forms.server";
import type { Route } from "./+types/practiceRoute";
import { PracticePage } from "./PracticePage";
import { openPractice } from "./practice.server";

export const loader = answer(async ({ params }: Route.LoaderArgs) => {
  const wanted = readVersionAddress(params);
  return { wanted, ...(await openPractice(wanted)) };
});

export default function PracticeRoute({ loaderData }: Route.ComponentProps) {
  return <PracticePage key={loaderData.sent.id} {...loaderData} />;
}
