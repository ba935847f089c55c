import { cloudingLines } from "../../appearance/clarity.ts";
import type { Rule } from "../finding.ts";
import { idsOf, slugsOf } from "../judged.ts";

/** CLOUDY_LIKELY: clear is wanted, and opacifiers, proteins, regular gum or loose oil are in it. */
export const cloudyLikely: Rule = {
  codes: ["CLOUDY_LIKELY"],
  check(judged) {
    const { sheet, looseOilPercent } = judged;
    if (sheet.formula.wantsClear !== true) return [];
    const { opaque, proteins } = cloudingLines(sheet);
    const clouding = [...opaque, ...proteins];
    const loose = looseOilPercent > 1e-9;
    if (clouding.length === 0 && !loose) return [];
    return [
      {
        code: "CLOUDY_LIKELY",
        severity: "consider",
        lines: idsOf(clouding),
        facts: { materials: slugsOf(clouding), loosePercent: loose ? looseOilPercent : 0 },
      },
    ];
  },
};
