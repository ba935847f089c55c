import { afterOpeningText, type LabelDesign, type LabelTexts } from "@tensidrum/core/packaging";
import type { OpenLabel } from "./label.server";

export const namings = ["inci", "common"] as const satisfies readonly LabelDesign["naming"][];

/** Under which the ingredients of a naming and a market are kept. */
export function ingredientsKey({ isShared, naming, market }: Pick<LabelDesign, "isShared" | "naming" | "market">): string {
  return `${isShared ? "all" : "own"} ${naming} ${market}`;
}

type Said = Pick<OpenLabel, "own" | "shared" | "ingredients" | "nets" | "bestBefore">;

/** What a label says with what is chosen on it. */
export function textsFor({ own, shared, ingredients, nets, bestBefore }: Said, design: LabelDesign): LabelTexts {
  const { netIn, months, openMonths } = design;
  const texts = design.isShared ? shared : own;
  return {
    ...texts,
    ingredients: ingredients[ingredientsKey(design)] ?? texts.ingredients,
    net: nets[netIn],
    "best-before": bestBefore[months] ?? texts["best-before"],
    "after-opening": afterOpeningText(openMonths),
  };
}
