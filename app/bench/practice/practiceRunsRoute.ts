import { answer } from "../../frame/answer.server";
import { readEndedRun, readVersionAddress } from "../forms.server";
import type { Route } from "./+types/practiceRunsRoute";
import { keepRun } from "./practice.server";

export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const ended = await readEndedRun(request);
  return Response.json(await keepRun(readVersionAddress(params), ended));
});
