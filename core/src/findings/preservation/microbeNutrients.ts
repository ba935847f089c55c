import { microbeNutrients } from "../../preservation/microbeNutrients.ts";
import type { Rule } from "../finding.ts";

/** MICROBE_FOOD: half a percent of honey, juices, infusions, clay, milk, or 1 % of gums: the preservative has more to do. */
export const microbeNutrientsRule: Rule = {
  codes: ["MICROBE_FOOD"],
  check({ sheet, wetPercent }) {
    const food = microbeNutrients(sheet);
    if (wetPercent === 0 || !food.counts) return [];
    return [
      {
        code: "MICROBE_FOOD",
        severity: "consider",
        lines: food.lines,
        facts: { percent: food.percent },
      },
    ];
  },
};
