import { answer } from "../../frame/answer.server";
import { readSheetAddress } from "../forms.server";
import type { Route } from "./+types/stepsRoute";
import { openSteps } from "./steps.server";
import { StepsPage } from "./StepsPage";

export const loader = answer(async ({ params }: Route.LoaderArgs) => openSteps(readSheetAddress(params)));

export default function StepsRoute({ loaderData }: Route.ComponentProps) {
  return <StepsPage key={`${loaderData.formulaId} ${loaderData.number}`} sheet={loaderData} />;
}
