import { flagRule } from "../flagRule.ts";

/** CORROSIVE: a strong acid or alkali. */
export const corrosive = flagRule({
  code: "CORROSIVE",
  flag: "corrosive",
  says: (count) => (count === 1 ? "is corrosive" : "are corrosive"),
  why: "Strong acids and alkalis burn skin and eyes within seconds.",
  cure: "Wear gloves and goggles, add it to the water and never the water to it; have running water close by.",
});
