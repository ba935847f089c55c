import { isCarbomer, MOST_CARBOMER_SALT_PERCENT } from "../../rheology/routes.ts";
import type { Rule } from "../finding.ts";
import { idsOf, linesOf, slugsOf } from "../judged.ts";

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
        facts: { materials: slugsOf(polymers), saltPercent: electrolyte, mostPercent: MOST_CARBOMER_SALT_PERCENT },
      },
    ];
  },
};
