import { redirect, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { takeForm } from "../../frame/readForm.server";
import type { Route } from "./+types/roundsRoute";
import { changeRounds, openRounds } from "./rounds.server";
import { readFormula, roundsForm } from "./roundsForms.server";
import { RoundsPage } from "./RoundsPage";

export const loader = answer(async ({ params }: Route.LoaderArgs) => openRounds(readFormula(params)));

export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const formula = readFormula(params);
  return takeForm(roundsForm, request, async (typed) => {
    const done = await changeRounds(formula, typed);
    if ("problems" in done) return done.problems;
    return redirect(done.draft === null ? `/compare/rounds/${formula}` : `/sheet/${formula}/${done.draft}`);
  });
});

export default function RoundsRoute({ loaderData }: Route.ComponentProps) {
  return <RoundsPage open={loaderData} answered={useActionData<typeof action>() ?? null} />;
}
