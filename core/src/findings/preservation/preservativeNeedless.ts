import type { Rule } from "../finding.ts";

/** PRESERVATIVE_NEEDLESS: a preservative where there is no water at all. */
export const preservativeNeedless: Rule = {
  codes: ["PRESERVATIVE_NEEDLESS"],
  check({ wetPercent, doses }) {
    if (wetPercent > 0 || doses.length === 0) return [];
    return [
      {
        code: "PRESERVATIVE_NEEDLESS",
        severity: "consider",
        lines: [...new Set(doses.flatMap(({ lines }) => lines))],
        facts: {},
      },
    ];
  },
};
