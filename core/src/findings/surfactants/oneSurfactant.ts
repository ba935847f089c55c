import { charges } from "../../library/material.ts";
import type { Rule } from "../finding.ts";
import { flagged, idsOf, type Judged } from "../judged.ts";

/** ONE_SURFACTANT: all actives are of one charge type. True soap stands alone. */
export const oneSurfactant: Rule = {
  codes: ["ONE_SURFACTANT"],
  check(judged) {
    const { byCharge } = judged.activeMatter;
    const present = charges.filter((charge) => byCharge[charge] > 0);
    const only = present[0];
    if (present.length !== 1 || only === undefined || isSoap(judged)) return [];
    return [
      {
        code: "ONE_SURFACTANT",
        severity: "consider",
        lines: activeLines(judged),
        facts: { charge: only },
      },
    ];
  },
};

/** Ids of the lines that bring active matter. */
export function activeLines({ weighed }: Judged): readonly string[] {
  return weighed.filter(({ activePercent }) => activePercent > 0).map(({ id }) => id);
}

/** Whether every active is true soap, which goes by rules of its own. */
export function isSoap(judged: Judged): boolean {
  const soap = new Set(idsOf(flagged(judged, "soap")));
  const active = activeLines(judged);
  return active.length > 0 && active.every((id) => soap.has(id));
}
