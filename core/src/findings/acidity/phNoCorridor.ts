import { writtenShort } from "../../quantities/written.ts";
import type { Rule } from "../finding.ts";
import { claimantName } from "../wording.ts";

/** PH_NO_CORRIDOR: no pH suits everyone. */
export const phNoCorridor: Rule = {
  codes: ["PH_NO_CORRIDOR"],
  check({ corridor, lines, sheet }) {
    if (corridor === null || !corridor.empty) return [];
    const told = corridor.conflict.map((who) => {
      const claim = corridor.claims.find((one) => one.who === who);
      const name = claimantName(who, sheet);
      return claim === undefined ? name : `${name} (pH ${writtenShort(claim.low, 2)} to ${writtenShort(claim.high, 2)})`;
    });
    return [
      {
        code: "PH_NO_CORRIDOR",
        severity: "stop",
        lines: lines.filter(({ material }) => corridor.conflict.includes(material.slug)).map(({ line }) => line.id),
        what: `No pH suits everyone: ${told.join(" excludes ")}.`,
        why: "Whichever of the two you follow, the other is spoiled.",
        cure: "Exchange one of the two, or change the aim.",
      },
    ];
  },
};
