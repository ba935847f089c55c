import { isKind } from "../../library/ingredientKinds.ts";
import { isChelator, isSolvent } from "../../preservation/classes.ts";
import type { PreservativeDose } from "../../preservation/preservatives.ts";
import { covers, type Spectrum } from "../../preservation/spectrum.ts";
import type { Finding, Rule } from "../finding.ts";
import type { Judged } from "../judged.ts";
import { isTrace } from "./preservativeDose.ts";

/** Whether what a preservative needs is there, by the codes of the library. */
const HELPERS: ReadonlyMap<string, (judged: Judged, dose: PreservativeDose) => boolean> = new Map([
  // A chelator would take the zinc of a zinc salt up instead.
  ["chelator", ({ contents }: Judged) => contents.some(({ material }) => isChelator(material) || isKind(material, "zinc-salt"))],
  ["yeast-mould-partner", partner(["yeasts", "moulds"], "good")],
  ["bacteria-partner", partner(["gramPositive", "gramNegative"], "some")],
  ["solvent", ({ contents }: Judged) => contents.some(({ material }) => isSolvent(material))],
]);

/** The other preservatives of the formula cover these kinds of microbe, each by its spectrum. */
function partner(kinds: readonly (keyof Spectrum)[], least: "good" | "some"): (judged: Judged, own: PreservativeDose) => boolean {
  return ({ contents }, own) => {
    const others = contents.filter(({ material }) => material.preservative !== null && material.slug !== own.material);
    return covers(
      others.map(({ material }) => material),
      kinds,
      least,
    );
  };
}

/** PRESERVATIVE_HELPER: what the preservative needs beside it is missing. A low pH is judged by PRESERVATIVE_PH. */
export const preservativeHelper: Rule = {
  codes: ["PRESERVATIVE_HELPER"],
  check(judged) {
    if (judged.wetPercent === 0) return [];
    const doses = judged.doses.filter((dose) => !isTrace(judged, dose));
    return doses.flatMap((dose) =>
      dose.facts.needsCodes.flatMap((code): Finding[] => {
        const isThere = HELPERS.get(code);
        if (isThere === undefined || isThere(judged, dose)) return [];
        return [
          {
            code: "PRESERVATIVE_HELPER",
            severity: "fix",
            lines: dose.lines,
            facts: { material: dose.material, needs: code },
          },
        ];
      }),
    );
  },
};
