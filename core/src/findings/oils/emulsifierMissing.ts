import type { Rule } from "../finding.ts";
import { idsOf, linesOf, sumPercent } from "../judged.ts";
import { emulsifies, isSolubiliser, keepsOilApart } from "./oilParts.ts";

/** Oil that a wash takes without emulsifier, % w/w. */
const MOST_OIL_PERCENT = 2;
const SOLUBILISER_PER_OIL = 4;
const CARRIED_BY_ACTIVE = 0.1;
const NOISE_PERCENT = 1e-9;

/** EMULSIFIER_MISSING: more than 2 % oil in water with neither emulsifier nor enough solubiliser. */
export const emulsifierMissing: Rule = {
  codes: ["EMULSIFIER_MISSING"],
  check(judged) {
    const { contents, wetPercent, activeMatter } = judged;
    const oils = contents.filter(({ material }) => material.role === "emollient" || material.role === "fragrance");
    const oil = sumPercent(oils);
    if (wetPercent === 0 || keepsOilApart(judged) || oil <= MOST_OIL_PERCENT + NOISE_PERCENT) return [];
    const solubiliser = sumPercent(contents.filter(isSolubiliser));
    const carried = solubiliser / SOLUBILISER_PER_OIL + CARRIED_BY_ACTIVE * activeMatter.percent;
    if (carried >= oil || emulsifies(judged)) return [];
    return [
      {
        code: "EMULSIFIER_MISSING",
        severity: "fix",
        lines: idsOf(linesOf(oils)),
        facts: { oilPercent: oil },
      },
    ];
  },
};
