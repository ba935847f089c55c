import { foamsItself } from "../../rheology/routes.ts";
import type { Rule } from "../finding.ts";
import { idsOf, linesOf, slugsOf } from "../judged.ts";
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
        facts: { materials: slugsOf(blocking) },
      },
    ];
  },
};
