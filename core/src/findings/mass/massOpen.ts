import { offering } from "../changes.ts";
import type { Rule } from "../finding.ts";
import { letWaterTakeRest } from "./waterLine.ts";

/** MASS_OPEN: the lines do not reach 100 % and none takes the rest. */
export const massOpen: Rule = {
  codes: ["MASS_OPEN"],
  check(judged) {
    if (judged.balance.state !== "open") return [];
    const { totalPercent, openPercent } = judged.balance;
    return [
      {
        code: "MASS_OPEN",
        severity: "fix",
        lines: [],
        facts: { totalPercent, openPercent },
        ...offering(letWaterTakeRest(judged)),
      },
    ];
  },
};
