import { flagRule } from "../flagRule.ts";

/** NUT: a material made of nuts or stones of kernels. */
export const nut = flagRule({
  code: "NUT",
  flag: "nut-allergen",
  says: (count) => (count === 1 ? "comes from nuts" : "come from nuts"),
  why: "Traces of protein can be enough for someone with an allergy.",
  cure: "Say so on the label and ask before you give it away.",
});
