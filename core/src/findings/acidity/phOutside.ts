import type { Rule } from "../finding.ts";

/** PH_OUTSIDE: the measured pH lies outside the corridor. */
export const phOutside: Rule = {
  codes: ["PH_OUTSIDE"],
  check({ corridor, sheet, lines }) {
    const measured = sheet.formula.measured?.ph;
    if (measured === undefined || corridor === null || corridor.empty) return [];
    const { low, high, claims } = corridor;
    if (measured >= low && measured <= high) return [];
    const hurt = claims.filter((claim) => measured < claim.low || measured > claim.high).map(({ who }) => who);
    return [
      {
        code: "PH_OUTSIDE",
        severity: "fix",
        lines: lines.filter(({ material }) => hurt.includes(material.slug)).map(({ line }) => line.id),
        facts: { ph: measured, low, high, who: hurt },
      },
    ];
  },
  notJudged({ corridor, sheet }) {
    if (corridor === null || corridor.empty || sheet.formula.measured?.ph !== undefined) return [];
    return [{ what: "PH_OUTSIDE", lacks: "measured-ph", lines: [] }];
  },
};
