import { redirect, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { readQuestions, takeForm } from "../../frame/readForm.server";
import { readWatched } from "../watchForms.server";
import type { Route } from "./+types/latherRoute";
import { keepTest, openLather } from "./lather.server";
import { latherForm, latherQuestions } from "./latherForms.server";
import { LatherPage } from "./LatherPage";

export const loader = answer(async ({ params, request }: Route.LoaderArgs) =>
  openLather(readWatched(params), readQuestions(latherQuestions, request).way),
);

export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const batch = readWatched(params);
  return takeForm(latherForm, request, async (typed) => {
    const problems = await keepTest(batch, typed);
    return problems.length > 0 ? problems : redirect(`/watch/${batch}/lather?way=${typed.way}`);
  });
});

export default function LatherRoute({ loaderData }: Route.ComponentProps) {
  return <LatherPage open={loaderData} answered={useActionData<typeof action>() ?? null} />;
}
