import type { Rule } from "../finding.ts";

/** PRESERVATIVE_PH: the pH lies outside the range the preservative works in. */
export const preservativePh: Rule = {
  codes: ["PRESERVATIVE_PH"],
  check({ doses, ph, wetPercent }) {
    if (ph.ph === null || wetPercent === 0) return [];
    const { ph: at, from: phFrom } = ph;
    return doses.flatMap(({ material, facts, lines }) => {
      const { effectivePhLow: low, effectivePhHigh: high, acids } = facts;
      if (at >= low && at <= high) return [];
      return [
        {
          code: "PRESERVATIVE_PH" as const,
          severity: "fix" as const,
          lines,
          facts: { material, lowPh: low, highPh: high, ph: at, phFrom, isAcid: acids.length > 0 },
        },
      ];
    });
  },
  notJudged({ doses, ph, wetPercent }) {
    if (ph.ph !== null || doses.length === 0 || wetPercent === 0) return [];
    return [{ what: "PRESERVATIVE_PH", lacks: "ph-or-aim", lines: doses.flatMap(({ lines }) => lines) }];
  },
};
