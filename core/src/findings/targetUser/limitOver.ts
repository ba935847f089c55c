import { limitedAmounts } from "../../preservation/limits.ts";
import type { Rule } from "../finding.ts";
import { idsOf, linesOf } from "../judged.ts";

/** What rounding a weighing can add to a limit, as a part of it: a step of the scale is much beside a limit of a few ppm. */
const ROUNDING_SHARE = 0.01;
const NOISE_PERCENT = 1e-9;

/** LIMIT_OVER: more of something than a limit of law with a number allows, summed over all lines and blends. */
export const limitOver: Rule = {
  codes: ["LIMIT_OVER"],
  check({ contents, profile, halfStepPercent }) {
    const leftOn = profile.leftOn === true;
    const over = [...limitedAmounts(contents)].flatMap(([limit, percent]) => {
      const mostPercent = leftOn ? limit.leftOnPercent : limit.rinsedPercent;
      const rounding = Math.min(halfStepPercent, mostPercent * ROUNDING_SHARE) + NOISE_PERCENT;
      return percent > mostPercent + rounding ? [{ limit, percent, mostPercent }] : [];
    });
    if (over.length === 0) return [];
    const names = new Set(over.flatMap(({ limit }) => Object.keys(limit.names)));
    const bring = contents.filter(({ material }) => material.inci.some(({ name }) => names.has(name)));
    return [
      {
        code: "LIMIT_OVER",
        severity: "fix",
        lines: idsOf(linesOf(bring)),
        facts: {
          leftOn,
          limits: over.map(({ limit: { name, calculatedAs }, percent, mostPercent }) => ({ name, calculatedAs, percent, mostPercent })),
        },
      },
    ];
  },
};
