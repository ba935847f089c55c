import { redirect, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { readQuestions, takeForm } from "../../frame/readForm.server";
import type { Route } from "./+types/outlookRoute";
import { openOutlook } from "./outlook.server";
import { outlookQuestions, planForm } from "./outlookForms.server";
import { OutlookPage } from "./OutlookPage";
import { changePlans } from "./plans.server";

export const loader = answer(async ({ request }: Route.LoaderArgs) => openOutlook(readQuestions(outlookQuestions, request).called));

export const action = answer(async ({ request }: Route.ActionArgs) =>
  takeForm(planForm, request, async (typed) => {
    const problems = await changePlans(typed);
    return problems.length > 0 ? problems : redirect("/shelf/outlook");
  }),
);

export default function OutlookRoute({ loaderData }: Route.ComponentProps) {
  return <OutlookPage open={loaderData} answered={useActionData<typeof action>() ?? null} />;
}
