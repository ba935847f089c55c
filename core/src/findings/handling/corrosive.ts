import { flagRule } from "../flagRule.ts";

/** CORROSIVE: a strong acid or alkali. */
export const corrosive = flagRule("CORROSIVE", "corrosive");
