import { flagRule } from "../flagRule.ts";

/** SOY: a material made of soya. */
export const soy = flagRule("SOY", "soy-allergen");
