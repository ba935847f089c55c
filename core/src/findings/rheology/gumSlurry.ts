import { sumPercent, idsOf, linesOf } from "../judged.ts";
import { lineAdded, lineSetTo, offering } from "../changes.ts";
import type { Finding, Rule } from "../finding.ts";
import { writtenPercent, writtenShort } from "../../quantities/written.ts";
import { namesOf } from "../wording.ts";
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
            what: `${namesOf(here)} stands in phase ${phase} with nothing to wet it.`,
            why: "Dry gum in water lumps at once: the outside swells and the inside stays dry for good.",
            cure: `Slurry it in at least ${writtenPercent(needed)} % glycerin (five parts to one) in the same phase, then pour that into the water.`,
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
          what: `${writtenPercent(wet)} % to wet ${writtenPercent(gum)} % gum: ${writtenShort(wet / gum, 1)} parts to one.`,
          why: "Below five parts the slurry is a paste that lumps in the water.",
          cure: `Take at least ${writtenPercent(needed)} %, ten parts are comfortable.`,
          ...offering(
            only === undefined || only.material.parts !== undefined ? undefined : lineSetTo(judged, only, (only.percent * needed) / wet),
          ),
        },
      ];
    });
  },
};
