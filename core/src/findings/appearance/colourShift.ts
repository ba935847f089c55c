import type { Rule } from "../finding.ts";
import { flagged, idsOf } from "../judged.ts";
import { namesOf } from "../wording.ts";

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
        what: `Clear is wanted, and ${namesOf(tinting)} will tint it.`,
        why: "Plant extracts and resins bring their own colour and go on darkening with light and pH.",
        cure: "Take less of it or a decoloured grade, or plan the tint in.",
      },
    ];
  },
};
