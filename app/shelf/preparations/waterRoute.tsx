import { data, redirect, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { formOf } from "../../frame/readForm.server";
import type { Route } from "./+types/waterRoute";
import { makeWater, openWater } from "./water.server";
import { readWaterForm, readWaterWish } from "./waterForm.server";
import { WaterPage } from "./WaterPage";

export const loader = answer(async ({ request }: Route.LoaderArgs) => openWater(readWaterWish(new URL(request.url))));

export const action = answer(async ({ request }: Route.ActionArgs) => {
  const { id, movementId, ...typed } = readWaterForm(await formOf(request));
  const made = await makeWater(typed, { id, movementId });
  return "problem" in made ? data(made, { status: 422 }) : redirect(`/shelf/lots/${made.lotId}/label`);
});

export default function WaterRoute({ loaderData }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  return <WaterPage water={loaderData} problem={answered?.problem ?? loaderData.problem} />;
}
