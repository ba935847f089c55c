import { answer } from "../../frame/answer.server";
import { takeForm } from "../../frame/readForm.server";
import type { Route } from "./+types/recipeRoute";
import { recipeForm, understandRecipe } from "./readRecipe.server";

export const action = answer(async ({ request }: Route.ActionArgs) =>
  takeForm(recipeForm, request, async ({ text }) => ({ understood: await understandRecipe(text) })),
);
