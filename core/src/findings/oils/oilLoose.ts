import type { ResolvedLine } from "../../formula/types.ts";
import { lineSetTo, offering } from "../changes.ts";
import type { Rule } from "../finding.ts";
import { idsOf, linesOf, sumPercent, type Judged } from "../judged.ts";
import { emulsifies, isSolubiliser, keepsOilApart } from "./oilParts.ts";

const OILS: ReadonlySet<string> = new Set(["emollient", "fragrance", "superfat"]);
const SOLUBILISER_PER_OIL = 4;
const NOISE_PERCENT = 1e-9;

/**
 * OIL_LOOSE: more oil, scent and superfats than a tenth of the actives carries and no solubiliser; in a clear product
 * also with too little of it.
 */
export const oilLoose: Rule = {
  codes: ["OIL_LOOSE"],
  check(judged) {
    const { contents, looseOilPercent: loose, sheet, wetPercent } = judged;
    if (wetPercent === 0 || keepsOilApart(judged) || loose <= NOISE_PERCENT) return [];
    const solubilisers = contents.filter(isSolubiliser);
    if (solubilisers.length > 0 && sheet.formula.wantsClear !== true) return [];
    if (emulsifies(judged)) return [];
    const oils = contents.filter(({ material }) => OILS.has(material.role));
    const more = loose * SOLUBILISER_PER_OIL;
    const only = solubilisers.length === 1 ? solubilisers[0]?.resolved : undefined;
    return [
      {
        code: "OIL_LOOSE",
        severity: "fix",
        lines: [...idsOf(linesOf(oils)), ...idsOf(linesOf(solubilisers))],
        facts: {
          oilPercent: sumPercent(oils),
          loosePercent: loose,
          neededSolubiliserPercent: more,
          hasSolubiliser: solubilisers.length > 0,
        },
        ...offering(raised(judged, only, more)),
      },
    ];
  },
};

function raised(judged: Judged, solubiliser: ResolvedLine | undefined, more: number) {
  if (solubiliser === undefined || solubiliser.material.parts !== undefined) return undefined;
  return lineSetTo(judged, solubiliser, solubiliser.percent + more);
}
