import { isChelator, isSolvent } from "../../preservation/classes.ts";
import type { PreservativeDose } from "../../preservation/preservatives.ts";
import type { Finding, Rule } from "../finding.ts";
import type { Judged } from "../judged.ts";

/** Whether what a preservative needs is there, by the codes of the library. */
const HELPERS: ReadonlyMap<string, (judged: Judged, dose: PreservativeDose) => boolean> = new Map([
  ["chelator", ({ contents }: Judged) => contents.some(({ material }) => isChelator(material))],
  ["yeast-mould-partner", partner("yeast-mould-partner")],
  ["bacteria-partner", partner("bacteria-partner")],
  ["solvent", ({ contents }: Judged) => contents.some(({ material }) => isSolvent(material))],
]);

/** Another preservative that does not need the same partner covers for it; boosters do not. */
function partner(code: string): (judged: Judged, own: PreservativeDose) => boolean {
  return ({ doses }, own) => doses.some(({ material, facts }) => material !== own.material && !facts.needsCodes.includes(code));
}

/** PRESERVATIVE_HELPER: what the preservative needs beside it is missing. A low pH is judged by PRESERVATIVE_PH. */
export const preservativeHelper: Rule = {
  codes: ["PRESERVATIVE_HELPER"],
  check(judged) {
    if (judged.wetPercent === 0) return [];
    return judged.doses.flatMap((dose) =>
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
