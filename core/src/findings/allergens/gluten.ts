import { flagRule } from "../flagRule.ts";

/** GLUTEN: a material made of a grain with gluten. */
export const gluten = flagRule("GLUTEN", "gluten-allergen");
