import { flagRule } from "../flagRule.ts";

/** SOY: a material made of soya. */
export const soy = flagRule({
  code: "SOY",
  flag: "soy-allergen",
  says: (count) => (count === 1 ? "may bring soya" : "may bring soya"),
  why: "Traces of protein can be enough for someone with an allergy.",
  cure: "Say so on the label.",
});
