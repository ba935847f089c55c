import { answer } from "../../frame/answer.server";
import { readSheetAddress } from "../forms.server";
import type { Route } from "./+types/keepRoute";
import { keepSteps } from "./steps.server";
import { readSteps } from "./stepsForm.server";

/** For the page of the steps: the answer is data, so that what stands there stays whatever comes. */
export const action = answer(async ({ params, request }: Route.ActionArgs) => ({
  problem: await keepSteps(readSheetAddress(params), await readSteps(request)),
}));
