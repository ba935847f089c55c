import { writtenShort } from "../../quantities/written.ts";
import type { Rule } from "../finding.ts";
import { flagged, idsOf } from "../judged.ts";
import { namesOf } from "../wording.ts";

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
        what: isLow
          ? `The soap was measured at pH ${writtenShort(measured, 2)}; below ${LEAST_SOAP_PH} it breaks.`
          : `${namesOf(acids)} would meet ${namesOf(soaps)}.`,
        why: "Acid turns soap back into greasy fatty acid: it clouds, thins and no longer cleans.",
        cure: "Leave the acid out and keep soap at pH 9 to 10; for a skin-like pH build the wash on other cleansers.",
      },
    ];
  },
};
