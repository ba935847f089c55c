import type { UnderstoodRecipe } from "./readRecipe.server";

/** What reading a recipe answers: what was understood, or why nothing was. */
export type RecipeAnswer =
  { readonly understood: UnderstoodRecipe; readonly problem: null } | { readonly understood: null; readonly problem: string };
