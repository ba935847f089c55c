import { materialClass } from "../../preservation/classes.ts";
import { writtenPercent } from "../../quantities/written.ts";
import type { Finding, Rule } from "../finding.ts";
import { idsOf, linesOf, sumPercent } from "../judged.ts";
import { nameOfSlug } from "../wording.ts";

const NOISE_PERCENT = 1e-9;

/** PRESERVATIVE_INACTIVATED: so much of a kind of material that takes the preservative away. */
export const preservativeInactivated: Rule = {
  codes: ["PRESERVATIVE_INACTIVATED"],
  check({ doses, contents, sheet, wetPercent }) {
    if (wetPercent === 0) return [];
    return doses.flatMap(({ material, facts, lines }) =>
      facts.inactivatedByCodes.flatMap(({ code, abovePercent }): Finding[] => {
        const kind = materialClass(code);
        if (kind === undefined) return [];
        const takers = contents.filter((content) => kind.is(content.material) && content.material.slug !== material);
        const percent = sumPercent(takers);
        if (percent <= abovePercent + NOISE_PERCENT) return [];
        return [
          {
            code: "PRESERVATIVE_INACTIVATED",
            severity: "fix",
            lines: [...new Set([...lines, ...idsOf(linesOf(takers))])],
            what: `${writtenPercent(percent)} % of ${kind.words} take ${nameOfSlug(material, sheet)} away; doubt it above ${writtenPercent(abovePercent)} %.`,
            why: "What is bound in micelles, on grains or by reaction no longer reaches the germs.",
            cure: `Stay at or below ${writtenPercent(abovePercent)} %, or choose a preservative that does not mind them; only a challenge test can show that it still keeps.`,
          },
        ];
      }),
    );
  },
};
