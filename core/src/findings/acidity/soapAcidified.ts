import type { Rule } from "../finding.ts";
import { flagged, idsOf, slugsOf } from "../judged.ts";

/** Below this soap turns back into fatty acid. */
const LEAST_SOAP_PH = 8.5;

/** SOAP_ACIDIFIED: true soap beside an acid, or measured below pH 8.5. */
export const soapAcidified: Rule = {
  codes: ["SOAP_ACIDIFIED"],
  check(judged) {
    const soaps = flagged(judged, "soap");
    if (soaps.length === 0) return [];
    const acids = judged.lines.filter(({ material }) => material.role === "ph-adjuster" && material.acidBase?.equivalentsModel === "acid");
    const measured = judged.sheet.formula.measured?.ph;
    const isLow = measured !== undefined && measured < LEAST_SOAP_PH;
    if (acids.length === 0 && !isLow) return [];
    return [
      {
        code: "SOAP_ACIDIFIED",
        severity: "stop",
        lines: idsOf([...soaps, ...acids]),
        facts: { soaps: slugsOf(soaps), acids: slugsOf(acids), lowPh: isLow ? measured : null, leastPh: LEAST_SOAP_PH },
      },
    ];
  },
};
