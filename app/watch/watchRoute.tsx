import { redirect, useActionData } from "react-router";
import { answer } from "../frame/answer.server";
import { readQuestions, takeForm } from "../frame/readForm.server";
import type { Route } from "./+types/watchRoute";
import { changeWatch } from "./keepCheck.server";
import { openWatch } from "./watch.server";
import { readWatched, watchForm, watchQuestions } from "./watchForms.server";
import { WatchPage } from "./WatchPage";

export const loader = answer(async ({ params, request }: Route.LoaderArgs) =>
  openWatch(readWatched(params), readQuestions(watchQuestions, request)),
);

export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const batch = readWatched(params);
  return takeForm(watchForm, request, async (typed) => {
    const problems = await changeWatch(batch, typed);
    return problems.length > 0 ? problems : redirect(`/watch/${batch}`);
  });
});

export default function WatchRoute({ loaderData }: Route.ComponentProps) {
  return <WatchPage open={loaderData} answered={useActionData<typeof action>() ?? null} />;
}
