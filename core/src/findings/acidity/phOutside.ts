import { writtenShort } from "../../quantities/written.ts";
import type { Rule } from "../finding.ts";
import { claimantName } from "../wording.ts";

/** PH_OUTSIDE: the measured pH lies outside the corridor. */
export const phOutside: Rule = {
  codes: ["PH_OUTSIDE"],
  check({ corridor, sheet, lines }) {
    const measured = sheet.formula.measured?.ph;
    if (measured === undefined || corridor === null || corridor.empty) return [];
    const { low, high, claims } = corridor;
    if (measured >= low && measured <= high) return [];
    const hurt = claims.filter((claim) => measured < claim.low || measured > claim.high).map(({ who }) => who);
    const names = hurt.map((who) => claimantName(who, sheet));
    return [
      {
        code: "PH_OUTSIDE",
        severity: "fix",
        lines: lines.filter(({ material }) => hurt.includes(material.slug)).map(({ line }) => line.id),
        what: `pH ${writtenShort(measured, 2)} was measured; the corridor goes from ${writtenShort(low, 2)} to ${writtenShort(high, 2)}.`,
        why: `It does not suit ${names.join(", ")}.`,
        cure:
          measured > high
            ? "Bring it down with a little acid, reading after each dose."
            : "Raise it with a little base, reading after each dose.",
      },
    ];
  },
  notJudged({ corridor, sheet }) {
    if (corridor === null || corridor.empty || sheet.formula.measured?.ph !== undefined) return [];
    return [{ what: "PH_OUTSIDE", missing: "a measured pH", lines: [] }];
  },
};
