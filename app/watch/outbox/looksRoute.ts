import { answer } from "../../frame/answer.server";
import { takeForm } from "../../frame/readForm.server";
import { changeWatch } from "../keepCheck.server";
import { readWatched, watchForm } from "../watchForms.server";
import type { Route } from "./+types/looksRoute";

export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const batch = readWatched(params);
  const taken = await takeForm(watchForm, request, async (typed) => {
    const problems = await changeWatch(batch, { ...typed, intent: "keep" });
    return problems.length > 0 ? problems : { isKept: true };
  });
  return "init" in taken ? Response.json(taken.data, taken.init ?? {}) : Response.json(taken);
});
