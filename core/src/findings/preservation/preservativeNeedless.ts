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
        what: "There is no water in it, so germs cannot grow.",
        why: "A preservative works in water only; here it is one more thing to react to.",
        cure: "Leave it out, unless wet fingers or shower water will get in.",
      },
    ];
  },
};
