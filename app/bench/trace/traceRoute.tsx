import { redirect, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { takeForm } from "../../frame/readForm.server";
import { readLotId } from "../../frame/lotId.server";
import type { Route } from "./+types/traceRoute";
import { keepGiven, openTrace } from "./trace.server";
import { givenForm } from "./traceForm.server";
import { TracePage } from "./TracePage";

export const loader = answer(async ({ params }: Route.LoaderArgs) => openTrace(readLotId(params.lot)));

export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const lot = readLotId(params.lot);
  return takeForm(givenForm, request, async (typed) => {
    const problems = await keepGiven(typed);
    return problems.length > 0 ? problems : redirect(`/shelf/lots/${lot}/trace`);
  });
});

export default function TraceRoute({ loaderData }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  return <TracePage open={loaderData} answered={answered ?? null} />;
}
