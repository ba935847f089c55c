import { data, redirect, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { formOf } from "../../frame/readForm.server";
import type { Route } from "./+types/solutionRoute";
import { makeSolution, openSolution } from "./solution.server";
import { readSolutionForm, readSolutionWish } from "./solutionForm.server";
import { SolutionPage } from "./SolutionPage";

export const loader = answer(async ({ request }: Route.LoaderArgs) => openSolution(readSolutionWish(new URL(request.url))));

export const action = answer(async ({ request }: Route.ActionArgs) => {
  const { id, movementId, ...typed } = readSolutionForm(await formOf(request));
  const made = await makeSolution(typed, { id, movementId });
  return "problem" in made ? data(made, { status: 422 }) : redirect(`/shelf/lots/${made.lotId}/label`);
});

export default function SolutionRoute({ loaderData }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  return <SolutionPage solution={loaderData} problem={answered?.problem ?? loaderData.problem} />;
}
