import type { Rule } from "../finding.ts";

/** PH_NO_CORRIDOR: no pH suits everyone. */
export const phNoCorridor: Rule = {
  codes: ["PH_NO_CORRIDOR"],
  check({ corridor, lines }) {
    if (corridor === null || !corridor.empty) return [];
    const claims = corridor.conflict.map((who) => {
      const claim = corridor.claims.find((one) => one.who === who);
      return { who, low: claim?.low ?? null, high: claim?.high ?? null };
    });
    return [
      {
        code: "PH_NO_CORRIDOR",
        severity: "stop",
        lines: lines.filter(({ material }) => corridor.conflict.includes(material.slug)).map(({ line }) => line.id),
        facts: { claims },
      },
    ];
  },
};
