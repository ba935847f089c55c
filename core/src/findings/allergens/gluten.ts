import { flagRule } from "../flagRule.ts";

/** GLUTEN: a material made of a grain with gluten. */
export const gluten = flagRule({
  code: "GLUTEN",
  flag: "gluten-allergen",
  says: (count) => (count === 1 ? "may bring gluten" : "may bring gluten"),
  why: "Who avoids gluten wants to know, above all on hands and lips.",
  cure: "Say so on the label.",
});
