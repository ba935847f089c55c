import { microbeNutrients } from "../../preservation/microbeNutrients.ts";
import { writtenPercent } from "../../quantities/written.ts";
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
        what: `${writtenPercent(food.percent)} % of it is food for germs.`,
        why: "The more there is to eat, the sooner a preservative is used up.",
        cure: "Dose the preservative at the upper end of its range, keep a chelator in and use it up sooner.",
      },
    ];
  },
};
