import { forEachSource } from "../../formula/leaves.ts";
import { shownMaterial } from "../../library/shownMaterial.ts";
import { writtenShort } from "../../quantities/written.ts";
import type { Finding, Rule } from "../finding.ts";

/** PRESERVATIVE_HEAT: a preservative in a phase hotter than it stands. */
export const preservativeHeat: Rule = {
  codes: ["PRESERVATIVE_HEAT"],
  check({ lines, temperatures, sheet }) {
    return lines.flatMap(({ line, material }): Finding[] => {
      const temperature = temperatures.get(line.phase);
      if (temperature === undefined) return [];
      let below = Infinity;
      forEachSource(material, "preservative", sheet.materials, (source) => {
        if (source.preservative !== null) below = Math.min(below, source.preservative.addBelowC);
      });
      if (temperature <= below) return [];
      return [
        {
          code: "PRESERVATIVE_HEAT",
          severity: "fix",
          lines: [line.id],
          what: `${shownMaterial(material).name} stands in phase ${line.phase} at ${writtenShort(temperature, 1)} °C; it goes in below ${writtenShort(below, 1)} °C.`,
          why: "Heat drives it off or breaks it down, and nothing shows that it is gone.",
          cure: `Move it to a phase below ${writtenShort(below, 1)} °C, usually the cool-down.`,
        },
      ];
    });
  },
};
