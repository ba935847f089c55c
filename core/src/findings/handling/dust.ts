import { flagRule } from "../flagRule.ts";

/** DUST: a powder that flies. */
export const dust = flagRule({
  code: "DUST",
  flag: "dusty-respirator",
  says: (count) => (count === 1 ? "raises dust" : "raise dust"),
  why: "Fine powder of surfactants, clays and polymers inflames the airways.",
  cure: "Wear a well-fitting dust mask, weigh without draught, wet the powder before it is stirred.",
});
