import { isCarbomer, MOST_CARBOMER_SALT_PERCENT } from "../../rheology/routes.ts";
import { writtenPercent } from "../../quantities/written.ts";
import type { Rule } from "../finding.ts";
import { idsOf, linesOf } from "../judged.ts";
import { namesOf } from "../wording.ts";

const NOISE_PERCENT = 1e-9;

/** POLYMER_SALT: a carbomer with more than 0.3 % salt and other electrolyte. */
export const polymerSalt: Rule = {
  codes: ["POLYMER_SALT"],
  check({ contents, salt }) {
    const electrolyte = salt.saltPercent + salt.electrolytePercent;
    const polymers = linesOf(contents.filter(({ material }) => isCarbomer(material)));
    if (polymers.length === 0 || electrolyte <= MOST_CARBOMER_SALT_PERCENT + NOISE_PERCENT) return [];
    return [
      {
        code: "POLYMER_SALT",
        severity: "fix",
        lines: idsOf(polymers),
        what: `${namesOf(polymers)} beside ${writtenPercent(electrolyte)} % dissolved salts; it stands about ${writtenPercent(MOST_CARBOMER_SALT_PERCENT)} %.`,
        why: "Salt shields the charges that hold the polymer open, and the gel collapses.",
        cure: "Thicken with a gum that stands salt, or build the wash on materials with less of it.",
      },
    ];
  },
};
