import { data, redirect, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { formAnswer } from "../../frame/formAnswer";
import { formOf, problemsFrom, readForm, readQuestions } from "../../frame/readForm.server";
import type { Route } from "./+types/beginRoute";
import { begin, openPlanned } from "./begin.server";
import { BeginPage } from "./BeginPage";
import { beginForm, beginQuestions, readVersionAddress } from "../forms.server";

export const loader = answer(async ({ params, request }: Route.LoaderArgs) =>
  openPlanned(readVersionAddress(params), readQuestions(beginQuestions, request)),
);

export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const wanted = readVersionAddress(params);
  const { typed, problems: misread } = readForm(beginForm, await formOf(request));
  const isLook = typed.intent === "look";
  const problems = misread.length > 0 || isLook ? misread : await problemsFrom(() => begin(wanted, typed));
  if (problems.length === 0 && !isLook) return redirect(`/bench/${typed.id}`);
  const begun = await openPlanned(wanted, typed, typed);
  return data({ begun, ...formAnswer(null, problems) }, { status: problems.length === 0 ? 200 : 422 });
});

export default function BeginRoute({ loaderData }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  return (
    <BeginPage plan={answered?.begun ?? loaderData} answered={answered === undefined || answered.problems.length === 0 ? null : answered} />
  );
}
