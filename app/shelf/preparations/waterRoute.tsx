import { redirect, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { readQuestions, takeForm } from "../../frame/readForm.server";
import type { Route } from "./+types/waterRoute";
import { makeWater, openWater } from "./water.server";
import { waterForm, waterQuestions } from "./waterForm.server";
import { WaterPage } from "./WaterPage";

export const loader = answer(async ({ request }: Route.LoaderArgs) => openWater(readQuestions(waterQuestions, request)));

export const action = answer(async ({ request }: Route.ActionArgs) =>
  takeForm(waterForm, request, async ({ id, movementId, ...typed }) => {
    const made = await makeWater(typed, { id, movementId });
    return "lotId" in made ? redirect(`/shelf/lots/${made.lotId}/label`) : made;
  }),
);

export default function WaterRoute({ loaderData }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  return <WaterPage water={loaderData} answered={answered ?? loaderData} />;
}
