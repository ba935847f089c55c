import type { Rule } from "../finding.ts";
import { idsOf, linesOf, slugsOf, sumPercent } from "../judged.ts";
import { isGum } from "./gums.ts";

/** More gum in a wash, all kinds together, stands like a jelly and does not pour, % w/w. */
export const MOST_GUM_PERCENT = 2;

/** GUM_OVER: so much gum that the product neither pours nor pumps. What is meant to stand on a spoon may have it. */
export const gumOver: Rule = {
  codes: ["GUM_OVER"],
  check(judged) {
    const { profile, sheet, contents, halfStepPercent } = judged;
    if (profile.dry || sheet.formula.aim?.thickness === "spoon-standing") return [];
    const gums = contents.filter(isGum);
    const percent = sumPercent(gums);
    if (percent <= MOST_GUM_PERCENT + halfStepPercent) return [];
    const lines = linesOf(gums);
    return [
      {
        code: "GUM_OVER",
        severity: "fix",
        lines: idsOf(lines),
        facts: { materials: slugsOf(lines), percent, mostPercent: MOST_GUM_PERCENT },
      },
    ];
  },
};
