import type { Rule } from "../finding.ts";
import { flagged, idsOf, slugsOf } from "../judged.ts";

/** COLOUR_SHIFT: clear is wanted, and something other than a colour tints it. */
export const colourShift: Rule = {
  codes: ["COLOUR_SHIFT"],
  check(judged) {
    if (judged.sheet.formula.wantsClear !== true) return [];
    const tinting = flagged(judged, "tints").filter(({ material }) => material.role !== "colour");
    if (tinting.length === 0) return [];
    return [
      {
        code: "COLOUR_SHIFT",
        severity: "consider",
        lines: idsOf(tinting),
        facts: { materials: slugsOf(tinting) },
      },
    ];
  },
};
