import type { Rule } from "../finding.ts";
import { flagged, idsOf, slugsOf } from "../judged.ts";

/** Less of it hardly shows when it fades, % w/w. */
const LEAST_PERCENT = 0.05;

/** KEEP_DARK: light breaks something in it down. */
export const keepDark: Rule = {
  codes: ["KEEP_DARK"],
  check(judged) {
    const lines = flagged(judged, "light-sensitive").filter(({ percent }) => percent >= LEAST_PERCENT);
    if (lines.length === 0) return [];
    return [{ code: "KEEP_DARK", severity: "consider", lines: idsOf(lines), facts: { materials: slugsOf(lines) } }];
  },
};
