import { forEachSource } from "../../formula/leaves.ts";
import { allergenAmounts, allergenThresholdPercent } from "../../formula/sums/allergens.ts";
import { writtenPercent, writtenShort } from "../../quantities/written.ts";
import type { Rule } from "../finding.ts";
import { idsOf, linesOf } from "../judged.ts";

/** So many are named; the label lists all. */
const NAMED = 4;

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
    const named = above.slice(0, NAMED).map(({ name, percent }) => `${name} ${writtenPercent(percent)} %`);
    const more = above.length - named.length;
    return [
      {
        code: "ALLERGEN_DECLARE",
        severity: "consider",
        lines: idsOf(bring),
        what: `Scent allergens above ${writtenShort(threshold, 4)} %: ${named.join(", ")}${more > 0 ? ` and ${more} more` : ""}.`,
        why: "Who reacts to one of them can only look it up on the label.",
        cure: "Name them in the ingredient list; the rules where you sell decide.",
      },
    ];
  },
  notJudged({ contents }) {
    const silent = contents.filter(({ material }) => material.role === "fragrance" && material.allergens.length === 0);
    if (silent.length === 0) return [];
    return [
      { what: "ALLERGEN_DECLARE", missing: "the allergens of these scents (from their certificates)", lines: idsOf(linesOf(silent)) },
    ];
  },
};
