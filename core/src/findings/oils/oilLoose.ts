import { writtenPercent } from "../../quantities/written.ts";
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
        what: `${writtenPercent(sumPercent(oils))} % oil, scent and superfats; ${writtenPercent(loose)} % of it nothing carries.`,
        why: "The micelles take up about a tenth of their own weight; what is left floats, clouds and kills foam.",
        cure:
          solubilisers.length === 0
            ? `Stir it into ${writtenPercent(more)} % of a solubiliser first (four parts to one), or take the oil down.`
            : `Raise the solubiliser by ${writtenPercent(more)} % (four parts to one part of oil), or take the oil down.`,
        ...offering(raised(judged, only, more)),
      },
    ];
  },
};

function raised(judged: Judged, solubiliser: ResolvedLine | undefined, more: number) {
  if (solubiliser === undefined || solubiliser.material.parts !== undefined) return undefined;
  return lineSetTo(judged, solubiliser, solubiliser.percent + more);
}
