import { afterOpeningText, type LabelDesign, type LabelTexts } from "@tensidrum/core/packaging";
import type { OpenLabel } from "./label.server";

export const namings = ["inci", "common"] as const satisfies readonly LabelDesign["naming"][];

/** Under which the ingredients of a naming and a market are kept. */
export function ingredientsKey(naming: LabelDesign["naming"], market: LabelDesign["market"]): string {
  return `${naming} ${market}`;
}

type Said = Pick<OpenLabel, "texts" | "ingredients" | "nets" | "bestBefore">;

/** What a label says with what is chosen on it. */
export function textsFor({ texts, ingredients, nets, bestBefore }: Said, design: LabelDesign): LabelTexts {
  const { naming, market, netIn, months, openMonths } = design;
  return {
    ...texts,
    ingredients: ingredients[ingredientsKey(naming, market)] ?? texts.ingredients,
    net: nets[netIn],
    "best-before": bestBefore[months] ?? texts["best-before"],
    "after-opening": afterOpeningText(openMonths),
  };
}
