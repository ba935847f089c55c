export { allergenAmounts, allergenThresholdPercent } from "./allergens.ts";
export type { Allergen } from "./allergens.ts";
export type { Naming } from "./ingredientNames.ts";
export { labelOf } from "./label.ts";
export type { Label, LabelIngredient } from "./label.ts";
