import { offering, scaledLines } from "../changes.ts";
import type { Rule } from "../finding.ts";
import { idsOf, sumPercent } from "../judged.ts";
import { isGel, saltLines } from "./saltLines.ts";

/** Whole salt above which blends thin again, where no curve was fitted, % w/w. */
const USUAL_MOST_PERCENT = 3;
const NOISE_PERCENT = 1e-9;

/** SALT_PAST_PEAK: whole salt, hidden and added, past the fitted peak, or above 3 %. */
export const saltPastPeak: Rule = {
  codes: ["SALT_PAST_PEAK"],
  check(judged) {
    const { salt, saltPeakPercent, contents, wetPercent } = judged;
    const most = saltPeakPercent ?? USUAL_MOST_PERCENT;
    if (wetPercent === 0 || !isGel(judged) || salt.saltPercent <= most + NOISE_PERCENT) return [];
    const excess = salt.saltPercent - most;
    const added = saltLines(judged);
    const bring = new Set(contents.filter(({ material }) => (material.saltPercent ?? 0) > 0).map(({ resolved }) => resolved));
    const factor = salt.addedSaltPercent > 0 ? 1 - excess / salt.addedSaltPercent : 0;
    return [
      {
        code: "SALT_PAST_PEAK",
        severity: "fix",
        lines: idsOf([...bring, ...added.filter((line) => !bring.has(line))]),
        facts: {
          saltPercent: salt.saltPercent,
          fromMaterialsPercent: salt.saltPercent - salt.addedSaltPercent,
          mostPercent: most,
          isFitted: saltPeakPercent !== null,
          removablePercent: added.length === 0 ? null : Math.min(excess, sumPercent(added)),
        },
        ...offering(factor > 0 ? scaledLines(judged, added, factor) : undefined),
      },
    ];
  },
};
