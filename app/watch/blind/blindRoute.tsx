import { redirect, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { takeForm } from "../../frame/readForm.server";
import type { Route } from "./+types/blindRoute";
import { keepAnswers, openBlindTest } from "./blind.server";
import { answersForm, readBlindTest } from "./blindForms.server";
import { BlindPage } from "./BlindPage";

export const loader = answer(async ({ params }: Route.LoaderArgs) => openBlindTest(readBlindTest(params)));

export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const test = readBlindTest(params);
  return takeForm(answersForm, request, async (typed) => {
    const problems = await keepAnswers(test, typed);
    return problems.length > 0 ? problems : redirect(`/watch/blind/${test}`);
  });
});

export default function BlindRoute({ loaderData }: Route.ComponentProps) {
  return <BlindPage open={loaderData} answered={useActionData<typeof action>() ?? null} />;
}
