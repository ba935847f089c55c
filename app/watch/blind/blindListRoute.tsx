import { redirect, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { takeForm } from "../../frame/readForm.server";
import type { Route } from "./+types/blindListRoute";
import { beginTest, openBlindTests } from "./blind.server";
import { blindForm } from "./blindForms.server";
import { BlindList } from "./BlindList";

export const loader = answer(async () => openBlindTests());

export const action = answer(async ({ request }: Route.ActionArgs) =>
  takeForm(blindForm, request, async (typed) => {
    const problems = await beginTest(typed);
    return problems.length > 0 ? problems : redirect(`/watch/blind/${typed.id}`);
  }),
);

export default function BlindListRoute({ loaderData }: Route.ComponentProps) {
  return <BlindList open={loaderData} answered={useActionData<typeof action>() ?? null} />;
}
