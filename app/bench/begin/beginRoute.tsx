import { data, redirect, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { formOf } from "../../frame/readForm.server";
import type { Route } from "./+types/beginRoute";
import { begin, openBegin } from "./begin.server";
import { BeginPage } from "./BeginPage";
import { readBeginForm, readVersionAddress } from "../forms.server";

const LONGEST_SIZE = 40;

export const loader = answer(async ({ params, request }: Route.LoaderArgs) =>
  openBegin(readVersionAddress(params), (new URL(request.url).searchParams.get("grams") ?? "").slice(0, LONGEST_SIZE)),
);

export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const wanted = readVersionAddress(params);
  const formData = await formOf(request);
  const form = readBeginForm(formData);
  const problem = formData.get("intent") === "look" ? null : await begin(wanted, form);
  if (problem === null && formData.get("intent") !== "look") return redirect(`/bench/${form.id}`);
  return data({ problem, begun: await openBegin(wanted, form.grams, form) }, { status: problem === null ? 200 : 422 });
});

export default function BeginRoute({ loaderData }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  return <BeginPage plan={answered?.begun ?? loaderData} problem={answered?.problem ?? null} />;
}
