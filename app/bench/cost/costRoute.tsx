import { redirect, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { takeForm } from "../../frame/readForm.server";
import { readBatchId } from "../forms.server";
import type { Route } from "./+types/costRoute";
import { keepWish, openCost } from "./cost.server";
import { CostPage } from "./CostPage";
import { wishForm } from "./wish.server";

export const loader = answer(async ({ params }: Route.LoaderArgs) => openCost(readBatchId(params.batch)));

export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const batchId = readBatchId(params.batch);
  return takeForm(wishForm, request, async (typed) => {
    const problems = await keepWish(batchId, typed);
    return problems.length > 0 ? problems : redirect(`/fill/${batchId}/cost`);
  });
});

export default function CostRoute({ loaderData }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  return <CostPage open={loaderData} answered={answered ?? null} />;
}
