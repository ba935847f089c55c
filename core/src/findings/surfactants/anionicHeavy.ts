import { chargeShares } from "../../surfactants/activeMatter.ts";
import type { Rule } from "../finding.ts";
import { activeLines, isSoap } from "./oneSurfactant.ts";

/** Share of the anionics above which nothing softens them, % of the actives. */
const MOST_ANIONIC_PERCENT = 75;
const NOISE_PERCENT = 1e-9;

/** ANIONIC_HEAVY: more than three quarters of the actives are anionic. True soap goes by rules of its own. */
export const anionicHeavy: Rule = {
  codes: ["ANIONIC_HEAVY"],
  check(judged) {
    const share = chargeShares(judged.activeMatter).anionic;
    if (share <= MOST_ANIONIC_PERCENT + NOISE_PERCENT || isSoap(judged)) return [];
    const { percent, byCharge } = judged.activeMatter;
    const others = percent - byCharge.anionic;
    const wanted = byCharge.anionic / 3 - others;
    return [
      {
        code: "ANIONIC_HEAVY",
        severity: "fix",
        lines: activeLines(judged),
        facts: { anionicSharePercent: share, neededActivePercent: Math.ceil(wanted * 100) / 100 },
      },
    ];
  },
};
