import { flagRule } from "../flagRule.ts";

/** EYE_IRRITANT: a material that irritates the eye. */
export const eyeIrritant = flagRule({
  code: "EYE_IRRITANT",
  flag: "eye-irritant",
  says: (count) => (count === 1 ? "irritates the eye" : "irritate the eye"),
  why: "A splash while weighing is far stronger than the finished wash.",
  cure: "Wear goggles at the bench; keep it low in what comes near the eye.",
});
