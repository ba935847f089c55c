import { forEachSource } from "../../formula/leaves.ts";
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
          facts: { material: material.slug, phase: line.phase, temperatureC: temperature, belowC: below },
        },
      ];
    });
  },
};
