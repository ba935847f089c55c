import { answer } from "../frame/answer.server";
import { pairingDesk } from "../frame/requestContext.server";
import { redirect } from "react-router";
import { layInDemo } from "../season/layInDemo.server";
import { beginFirstWash } from "./first.server";
import type { Route } from "./+types/todayRoute";
import { Today } from "./Today";
import { partQuestions } from "../frame/listParts.server";
import { readForm, readQuestions } from "../frame/readForm.server";
import { openToday, todayForm } from "./today.server";

export const loader = answer(async ({ request, context }: Route.LoaderArgs) =>
  openToday(readQuestions(partQuestions, request).behind, context.get(pairingDesk)),
);

/** The ways to begin: a first batch, or the demo beside what is there. */
export const action = answer(async ({ request }: Route.ActionArgs) => {
  const { typed } = readForm(todayForm, await request.formData());
  if (typed.intent === "first") return redirect(await beginFirstWash());
  await layInDemo();
  return redirect("/");
});

export default function TodayRoute({ loaderData }: Route.ComponentProps) {
  return <Today board={loaderData} />;
}
