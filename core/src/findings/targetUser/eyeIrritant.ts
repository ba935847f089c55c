import { flagRule } from "../flagRule.ts";

/** EYE_IRRITANT: a material that irritates the eye. */
export const eyeIrritant = flagRule("EYE_IRRITANT", "eye-irritant");
