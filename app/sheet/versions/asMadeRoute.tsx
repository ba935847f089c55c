import { redirect } from "react-router";
import { answer } from "../../frame/answer.server";
import { readBatchAddress } from "../forms.server";
import type { Route } from "./+types/asMadeRoute";
import { AsMadePage } from "./AsMadePage";
import { draftAsMade, openAsMade } from "./asMade.server";

export const loader = answer(async ({ params }: Route.LoaderArgs) => openAsMade(readBatchAddress(params)));

export const action = answer(async ({ params }: Route.ActionArgs) => {
  const address = readBatchAddress(params);
  await draftAsMade(address);
  return redirect(`/sheet/${address.formulaId}`);
});

export default function AsMadeRoute({ loaderData }: Route.ComponentProps) {
  return <AsMadePage asMade={loaderData} />;
}
