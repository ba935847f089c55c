import { cloudingLines } from "../../appearance/clarity.ts";
import { writtenPercent } from "../../quantities/written.ts";
import type { Rule } from "../finding.ts";
import { idsOf } from "../judged.ts";
import { namesOf } from "../wording.ts";

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
    const causes = [
      ...(clouding.length > 0 ? [namesOf(clouding)] : []),
      ...(loose ? [`${writtenPercent(looseOilPercent)} % oil that nothing carries`] : []),
    ];
    return [
      {
        code: "CLOUDY_LIKELY",
        severity: "consider",
        lines: idsOf(clouding),
        what: `Clear is wanted, and ${causes.join(", and ")} will likely cloud it.`,
        why: "Grains, swollen gum and droplets scatter the light.",
        cure: "Leave them out, take clear grades, solubilise the oil, or let the product be creamy.",
      },
    ];
  },
};
