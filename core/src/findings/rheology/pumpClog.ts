import { foamsItself } from "../../rheology/routes.ts";
import type { Rule } from "../finding.ts";
import { idsOf, linesOf } from "../judged.ts";
import { isOrAre, namesOf } from "../wording.ts";
import { isParticle } from "./particles.ts";

const THICKENING: ReadonlySet<string> = new Set(["thickener", "suspender", "fatty-solid"]);

/** PUMP_CLOG: particles or a thickener in a product for a foaming pump. */
export const pumpClog: Rule = {
  codes: ["PUMP_CLOG"],
  check({ contents, profile }) {
    if (!foamsItself(profile.slug)) return [];
    const blocking = linesOf(contents.filter((content) => THICKENING.has(content.material.role) || isParticle(content)));
    if (blocking.length === 0) return [];
    return [
      {
        code: "PUMP_CLOG",
        severity: "fix",
        lines: idsOf(blocking),
        what: `${namesOf(blocking)} ${isOrAre(blocking.length)} in a product for a foaming pump.`,
        why: "The pump presses the wash through a fine net with air: grains block it, and what is thick will not foam.",
        cure: "Leave it out and keep the wash as thin as water, or fill it into another pump.",
      },
    ];
  },
};
