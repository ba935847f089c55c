import { answer } from "../../frame/answer.server";
import { readVersionAddress } from "../forms.server";
import type { Route } from "./+types/rehearsalRoute";
import { RehearsalPage } from "./RehearsalPage";
import { openRehearsal } from "./rehearsal.server";

export const loader = answer(async ({ params }: Route.LoaderArgs) => {
  const wanted = readVersionAddress(params);
  return { wanted, sent: await openRehearsal(wanted) };
});

export default function RehearsalRoute({ loaderData: { wanted, sent } }: Route.ComponentProps) {
  return <RehearsalPage key={sent.id} wanted={wanted} sent={sent} />;
}
