import { writtenShort } from "../../quantities/written.ts";
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
        what: `There is ${writtenShort(wetPercent, 1)} % water in it and no preservative.`,
        why: "Germs grow in any wet wash within days, long before it smells.",
        cure: "Add a broad-spectrum preservative that works at the pH you aim for, within its usual dose.",
      },
    ];
  },
};
