import type { Rule } from "../finding.ts";

/** PRESERVATIVE_MISSING: water is in it and no preservative. A sheet with nothing but water has not been begun. */
export const preservativeMissing: Rule = {
  codes: ["PRESERVATIVE_MISSING"],
  check({ wetPercent, doses, lines }) {
    if (wetPercent === 0 || doses.length > 0 || lines.every(({ material }) => material.role === "water")) return [];
    return [
      {
        code: "PRESERVATIVE_MISSING",
        severity: "stop",
        lines: [],
        facts: { waterPercent: wetPercent },
      },
    ];
  },
};
