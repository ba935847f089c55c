import { answer } from "../../frame/answer.server";
import { tooLargeToRead } from "../../frame/photo.server";
import { refused, takeForm } from "../../frame/readForm.server";
import { changeWatch } from "../keepCheck.server";
import { readWatched, watchForm } from "../watchForms.server";
import type { Route } from "./+types/looksRoute";

export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const batch = readWatched(params);
  const tooLarge = tooLargeToRead(request);
  const taken =
    tooLarge.length > 0
      ? refused(null, tooLarge)
      : await takeForm(watchForm, request, async (typed) => {
          const problems = await changeWatch(batch, { ...typed, intent: "keep" });
          return problems.length > 0 ? problems : { isKept: true };
        });
  return "init" in taken ? Response.json(taken.data, taken.init ?? {}) : Response.json(taken);
});
