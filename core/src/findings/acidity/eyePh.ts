import { EYE_PH } from "../../acidity/corridor.ts";
import type { Rule } from "../finding.ts";

/** EYE_PH: a product for the eye area, measured outside the pH of tears. */
export const eyePh: Rule = {
  codes: ["EYE_PH"],
  check({ sheet }) {
    const measured = sheet.formula.measured?.ph;
    if (sheet.formula.eyeArea !== true || measured === undefined) return [];
    if (measured >= EYE_PH.low && measured <= EYE_PH.high) return [];
    return [
      {
        code: "EYE_PH",
        severity: "fix",
        lines: [],
        facts: { ph: measured, ...EYE_PH },
      },
    ];
  },
  notJudged({ sheet, wetPercent }) {
    if (sheet.formula.eyeArea !== true || sheet.formula.measured?.ph !== undefined || wetPercent === 0) return [];
    return [{ what: "EYE_PH", lacks: "measured-ph", lines: [] }];
  },
};
