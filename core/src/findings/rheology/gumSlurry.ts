import { sumPercent, idsOf, linesOf, slugsOf } from "../judged.ts";
import { lineAdded, lineSetTo, offering } from "../changes.ts";
import type { Finding, Rule } from "../finding.ts";
import { dryGums, wettingIn } from "./gums.ts";

/** Glycerin a gum's slurry needs, parts per part of gum. */
const LEAST_PARTS = 5;
const NOISE = 1e-9;

/** GUM_DRY and GUM_RATIO: a gum whose phase has nothing to wet it with, or less than five parts of it. */
export const gumSlurry: Rule = {
  codes: ["GUM_DRY", "GUM_RATIO"],
  check(judged) {
    const gums = dryGums(judged);
    const phases = [...new Set(gums.map(({ line }) => line.phase))];
    return phases.flatMap((phase): Finding[] => {
      const here = gums.filter(({ line }) => line.phase === phase);
      const first = here[0];
      const gum = sumPercent(here);
      const wetting = wettingIn(judged, phase);
      const wet = sumPercent(wetting);
      if (first === undefined || wet >= gum * LEAST_PARTS * (1 - NOISE)) return [];
      const needed = gum * LEAST_PARTS;
      if (wet === 0) {
        return [
          {
            code: "GUM_DRY",
            severity: "fix",
            lines: idsOf(here),
            facts: { materials: slugsOf(here), phase, neededPercent: needed },
            ...offering(lineAdded(judged, "glycerin", needed, first)),
          },
        ];
      }
      const only = linesOf(wetting).length === 1 ? linesOf(wetting)[0] : undefined;
      return [
        {
          code: "GUM_RATIO",
          severity: "fix",
          lines: [...idsOf(here), ...idsOf(linesOf(wetting))],
          facts: { gumPercent: gum, wettingPercent: wet, neededPercent: needed },
          ...offering(
            only === undefined || only.material.parts !== undefined ? undefined : lineSetTo(judged, only, (only.percent * needed) / wet),
          ),
        },
      ];
    });
  },
};
