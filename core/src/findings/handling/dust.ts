import { flagRule } from "../flagRule.ts";

/** DUST: a powder that flies. */
export const dust = flagRule("DUST", "dusty-respirator");
