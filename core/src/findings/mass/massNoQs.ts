import { offering } from "../changes.ts";
import type { Rule } from "../finding.ts";
import { letWaterTakeRest } from "./waterLine.ts";

/** MASS_NO_QS: exactly 100 %, but no line is q.s.. Dry products need none. */
export const massNoQs: Rule = {
  codes: ["MASS_NO_QS"],
  check(judged) {
    const { balance, profile } = judged;
    if (balance.state !== "closed" || balance.hasQs || profile.dry) return [];
    return [
      {
        code: "MASS_NO_QS",
        severity: "consider",
        lines: [],
        facts: {},
        ...offering(letWaterTakeRest(judged)),
      },
    ];
  },
};
