import { Refusal } from "@tensidrum/core/quantities";
import { answer } from "../../frame/answer.server";
import { formOf } from "../../frame/readForm.server";
import type { Route } from "./+types/recipeRoute";
import { understandRecipe } from "./readRecipe.server";

export const action = answer(async ({ request }: Route.ActionArgs) => {
  const text = (await formOf(request)).get("text");
  try {
    return { understood: await understandRecipe(typeof text === "string" ? text : ""), problem: null };
  } catch (error) {
    if (error instanceof Refusal) return { understood: null, problem: `${error.message} ${error.remedy}` };
    throw error;
  }
});
