import { forEachSource } from "../../formula/leaves.ts";
import { allergenAmounts, allergenThresholdPercent } from "../../formula/sums/allergens.ts";
import type { Rule } from "../finding.ts";
import { idsOf, linesOf } from "../judged.ts";

/** ALLERGEN_DECLARE: a scent allergen above what many markets want named. */
export const allergenDeclare: Rule = {
  codes: ["ALLERGEN_DECLARE"],
  check({ sheet, lines, profile }) {
    const threshold = allergenThresholdPercent(profile);
    const above = allergenAmounts(sheet).filter(({ percent }) => percent > threshold);
    if (above.length === 0) return [];
    const names = new Set(above.map(({ name }) => name));
    const bring = lines.filter(({ material }) => {
      let brings = false;
      forEachSource(material, "allergens", sheet.materials, ({ allergens }) => {
        brings ||= allergens.some(({ name }) => names.has(name));
      });
      return brings;
    });
    return [
      {
        code: "ALLERGEN_DECLARE",
        severity: "consider",
        lines: idsOf(bring),
        facts: { thresholdPercent: threshold, allergens: above },
      },
    ];
  },
  notJudged({ contents }) {
    const silent = contents.filter(({ material }) => material.role === "fragrance" && material.allergens.length === 0);
    if (silent.length === 0) return [];
    return [{ what: "ALLERGEN_DECLARE", lacks: "allergens", lines: idsOf(linesOf(silent)) }];
  },
};
