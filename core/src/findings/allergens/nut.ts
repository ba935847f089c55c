import { flagRule } from "../flagRule.ts";

/** NUT: a material made of nuts or stones of kernels. */
export const nut = flagRule("NUT", "nut-allergen");
