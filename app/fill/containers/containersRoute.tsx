import { redirect, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { readQuestions, takeForm } from "../../frame/readForm.server";
import type { Route } from "./+types/containersRoute";
import { containerForm, containerQuestions } from "./containerForm.server";
import { ContainersPage } from "./ContainersPage";
import { changeContainer, openContainers } from "./containers.server";

export const loader = answer(async ({ request }: Route.LoaderArgs) => openContainers(readQuestions(containerQuestions, request).change));

export const action = answer(async ({ request }: Route.ActionArgs) =>
  takeForm(containerForm, request, async (typed) => {
    const problems = await changeContainer(typed);
    return problems.length > 0 ? problems : redirect("/fill/containers");
  }),
);

export default function ContainersRoute({ loaderData }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  return <ContainersPage key={loaderData.typed.id} open={loaderData} answered={answered ?? null} />;
}
