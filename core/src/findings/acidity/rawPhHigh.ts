import { typicalRawPh } from "../../acidity/rawPh.ts";
import type { Rule } from "../finding.ts";

/** So far above its corridor a wash must come out before it is said: the forecast is no better, pH. */
const CLEARLY_ABOVE = 1;
/** Less acid than this brings it down is a few drops, that anyone has at the bench; mmol/kg. */
const LEAST_DEMAND = 3;

/** RAW_PH_HIGH: it will come out clearly alkaline, and nothing in the formula brings it down. */
export const rawPhHigh: Rule = {
  codes: ["RAW_PH_HIGH"],
  check({ corridor, sheet, lines, wetPercent }) {
    if (wetPercent === 0 || corridor === null || corridor.empty || sheet.formula.measured?.ph !== undefined) return [];
    const hasAcid = lines.some(({ material }) => material.acidBase !== null && material.acidBase.equivalentsModel !== "base");
    if (hasAcid) return [];
    const raw = typicalRawPh(sheet, corridor.high);
    if (raw === null || raw.ph <= corridor.high + CLEARLY_ABOVE || raw.demand < LEAST_DEMAND) return [];
    return [{ code: "RAW_PH_HIGH", severity: "fix", lines: [], facts: { ph: raw.ph, highPh: corridor.high } }];
  },
};
