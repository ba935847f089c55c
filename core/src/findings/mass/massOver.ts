import { lineSetTo, offering } from "../changes.ts";
import type { Rule } from "../finding.ts";

/** MASS_OVER: the lines exceed 100 %. */
export const massOver: Rule = {
  codes: ["MASS_OVER"],
  check(judged) {
    const { balance, sheet, lines } = judged;
    if (balance.state !== "over") return [];
    const excess = balance.othersPercent - 100;
    const qs = sheet.lines.find((resolved) => resolved.line.qs === true);
    const water = lines.find(({ material, percent }) => material.role === "water" && percent > excess);
    return [
      {
        code: "MASS_OVER",
        severity: "stop",
        lines: qs === undefined ? [] : [qs.line.id],
        facts: {
          totalPercent: balance.othersPercent,
          excessPercent: excess,
          qsMaterial: qs?.material.slug ?? null,
          hasWaterToSpare: qs === undefined && water !== undefined,
        },
        ...offering(qs !== undefined || water === undefined ? undefined : lineSetTo(judged, water, water.percent - excess)),
      },
    ];
  },
};
