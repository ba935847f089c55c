import { redirect, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { readQuestions, takeForm } from "../../frame/readForm.server";
import type { Route } from "./+types/solutionRoute";
import { makeSolution, openSolution } from "./solution.server";
import { solutionForm, solutionQuestions } from "./solutionForm.server";
import { SolutionPage } from "./SolutionPage";

export const loader = answer(async ({ request }: Route.LoaderArgs) => openSolution(readQuestions(solutionQuestions, request)));

export const action = answer(async ({ request }: Route.ActionArgs) =>
  takeForm(solutionForm, request, async ({ id, movementId, ...typed }) => {
    const made = await makeSolution(typed, { id, movementId });
    return "lotId" in made ? redirect(`/shelf/lots/${made.lotId}/label`) : made;
  }),
);

export default function SolutionRoute({ loaderData }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  return <SolutionPage solution={loaderData} answered={answered ?? loaderData} />;
}
