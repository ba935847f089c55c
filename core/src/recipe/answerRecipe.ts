import type { MaterialsBySlug } from "../library/material.ts";
import { readRecipe } from "./readRecipe.ts";
import { recipeShares } from "./recipeFormula.ts";

export interface AnsweredLine {
  readonly text: string;
  readonly material: string | null;
  readonly grams: number | null;
  readonly percent: number | null;
  readonly qs: boolean;
  readonly estimate: boolean;
  readonly offers: readonly string[];
  /** 1 for the first phase. */
  readonly phase: number;
}

export interface AnsweredRecipe {
  readonly lines: readonly AnsweredLine[];
  readonly batchGrams: number | null;
  readonly ingredientList: boolean;
}

/**
 * A recipe as the sheet it becomes, line by line: "20 g betaine 30 %" in 100 g is 20 % and 20 g. Percent and grams are null
 * on the q.s. line and where the amount is yet to be found; grams also where the recipe does not say what it makes.
 */
export function answerRecipe(text: string, library: MaterialsBySlug): AnsweredRecipe {
  const recipe = readRecipe(text, [...library.values()]);
  const { shares, batchGrams } = recipeShares(recipe, library, "us");
  const letters = recipe.phases.map(({ id }) => id);
  return {
    lines: shares.map(({ text: written, material, percent, takesTheRest, isEstimate, offers, phase }) => ({
      ...{ text: written, material, percent, offers },
      grams: percent === null || batchGrams === null ? null : (batchGrams * percent) / 100,
      qs: takesTheRest,
      estimate: isEstimate,
      phase: Math.max(0, letters.indexOf(phase)) + 1,
    })),
    batchGrams,
    ingredientList: recipe.isIngredientList,
  };
}
