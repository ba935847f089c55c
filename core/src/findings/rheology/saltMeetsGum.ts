import type { Rule } from "../finding.ts";
import { idsOf, linesOf, slugsOf } from "../judged.ts";
import { isGum } from "./gums.ts";
import { saltLines } from "./saltLines.ts";

/** SALT_MEETS_GUM: salt and a gum in one wash. */
export const saltMeetsGum: Rule = {
  codes: ["SALT_MEETS_GUM"],
  check(judged) {
    const salts = saltLines(judged);
    const gums = linesOf(judged.contents.filter(isGum));
    if (salts.length === 0 || gums.length === 0) return [];
    return [
      {
        code: "SALT_MEETS_GUM",
        severity: "consider",
        lines: idsOf([...gums, ...salts]),
        facts: { materials: slugsOf(gums) },
      },
    ];
  },
};
