import { isChelator, isSolvent } from "../../preservation/classes.ts";
import type { PreservativeDose } from "../../preservation/preservatives.ts";
import type { Finding, Rule } from "../finding.ts";
import type { Judged } from "../judged.ts";
import { nameOfSlug } from "../wording.ts";

interface Helper {
  readonly words: string;
  readonly why: string;
  readonly cure: string;
  isThere(judged: Judged, dose: PreservativeDose): boolean;
}

const HELPERS: ReadonlyMap<string, Helper> = new Map([
  [
    "chelator",
    {
      words: "a chelator",
      why: "Metals from water and plants shield germs and dull the preservative.",
      cure: "Add a chelator at its usual dose to the water, first of all.",
      isThere: ({ contents }: Judged) => contents.some(({ material }) => isChelator(material)),
    },
  ],
  ["yeast-mould-partner", partner("yeast-mould-partner", "yeasts and moulds")],
  ["bacteria-partner", partner("bacteria-partner", "bacteria")],
  [
    "solvent",
    {
      words: "a solvent",
      why: "It hardly dissolves in water and would float or drop out.",
      cure: "Dissolve it in propanediol or another glycol first.",
      isThere: ({ contents }: Judged) => contents.some(({ material }) => isSolvent(material)),
    },
  ],
]);

/** Another preservative that does not need the same partner covers for it; boosters do not. */
function partner(code: string, germs: string): Helper {
  return {
    words: `a partner against ${germs}`,
    why: `Alone it leaves a gap for ${germs}.`,
    cure: `Add a preservative that covers ${germs}, or take a blend that does.`,
    isThere: ({ doses }, own) => doses.some(({ material, facts }) => material !== own.material && !facts.needsCodes.includes(code)),
  };
}

/** PRESERVATIVE_HELPER: what the preservative needs beside it is missing. A low pH is judged by PRESERVATIVE_PH. */
export const preservativeHelper: Rule = {
  codes: ["PRESERVATIVE_HELPER"],
  check(judged) {
    if (judged.wetPercent === 0) return [];
    return judged.doses.flatMap((dose) =>
      dose.facts.needsCodes.flatMap((code): Finding[] => {
        const helper = HELPERS.get(code);
        if (helper === undefined || helper.isThere(judged, dose)) return [];
        return [
          {
            code: "PRESERVATIVE_HELPER",
            severity: "fix",
            lines: dose.lines,
            what: `${nameOfSlug(dose.material, judged.sheet)} wants ${helper.words} beside it.`,
            why: helper.why,
            cure: helper.cure,
          },
        ];
      }),
    );
  },
};
