import { materialClass } from "../../preservation/classes.ts";
import type { Finding, Rule } from "../finding.ts";
import { idsOf, linesOf, sumPercent } from "../judged.ts";

const NOISE_PERCENT = 1e-9;

/** PRESERVATIVE_INACTIVATED: so much of a kind of material that takes the preservative away. */
export const preservativeInactivated: Rule = {
  codes: ["PRESERVATIVE_INACTIVATED"],
  check({ doses, contents, wetPercent }) {
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
            facts: { material, kind: code, percent, abovePercent },
          },
        ];
      }),
    );
  },
};
