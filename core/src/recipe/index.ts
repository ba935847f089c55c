export type { Amount } from "./amounts.ts";
export { readRecipe } from "./readRecipe.ts";
export type { Recipe, RecipeLine, RecipeLineKind } from "./readRecipe.ts";
export { recipeShares } from "./recipeFormula.ts";
export type { RecipeShare, RecipeShares } from "./recipeFormula.ts";
export { recogniserOf } from "./recognise.ts";
export type { Recognised, Recogniser, Sureness } from "./recognise.ts";
export type { RecipeUnit } from "./units.ts";
