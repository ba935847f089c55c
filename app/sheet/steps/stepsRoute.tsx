import { answer } from "../../frame/answer.server";
import { readSheetAddress } from "../forms.server";
import type { Route } from "./+types/stepsRoute";
import { keepSteps, openSteps } from "./steps.server";
import { readSteps } from "./stepsForm.server";
import { StepsPage } from "./StepsPage";

export const loader = answer(async ({ params }: Route.LoaderArgs) => openSteps(readSheetAddress(params)));

export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  await keepSteps(readSheetAddress(params), await readSteps(request));
  return { kept: new Date().toISOString() };
});

export default function StepsRoute({ loaderData }: Route.ComponentProps) {
  return <StepsPage key={`${loaderData.formulaId} ${loaderData.number}`} sheet={loaderData} />;
}
