import { answer } from "../../frame/answer.server";
import { readSheetAddress } from "../forms.server";
import type { Route } from "./+types/cardRoute";
import { openCard } from "./openCard.server";
import { CardPage } from "./CardPage";

export const loader = answer(async ({ params }: Route.LoaderArgs) =>
  openCard(readSheetAddress({ formulaId: params.formulaId, number: params.number })),
);

export default function CardRoute({ loaderData }: Route.ComponentProps) {
  return <CardPage version={loaderData} />;
}
