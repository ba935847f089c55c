import { useActionData } from "react-router";
import { answer } from "../frame/answer.server";
import { readForm, readQuestions } from "../frame/readForm.server";
import type { Route } from "./+types/daysRoute";
import { newFeed, openDays, revokeFeed } from "./days.server";
import { daysQuestions, feedForm } from "./daysForms.server";
import { DaysPage } from "./DaysPage";

export const loader = answer(async ({ request }: Route.LoaderArgs) => openDays(readQuestions(daysQuestions, request)));

export const action = answer(async ({ request }: Route.ActionArgs) => {
  const { typed } = readForm(feedForm, await request.formData());
  if (typed.intent === "new") return { address: await newFeed() };
  await revokeFeed();
  return { address: null };
});

export default function DaysRoute({ loaderData }: Route.ComponentProps) {
  return <DaysPage open={loaderData} address={useActionData<typeof action>()?.address ?? null} />;
}
