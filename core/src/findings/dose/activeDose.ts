import type { Finding, Rule } from "../finding.ts";
import { idsOf, linesOf, type Content } from "../judged.ts";
import type { PlainMaterial } from "../../library/material.ts";

/**
 * ACTIVE_DOSE: an active outside its usual range. The pure substance is reckoned, over all materials that bring it: two
 * lines of a half-strong solution are one of the substance.
 */
export const activeDose: Rule = {
  codes: ["ACTIVE_DOSE"],
  check({ contents, halfStepPercent }) {
    const bySubstance = new Map<string, Content[]>();
    for (const content of contents) {
      const substance = substanceOf(content.material);
      if (content.material.role !== "active" || substance === null) continue;
      bySubstance.set(substance.name, [...(bySubstance.get(substance.name) ?? []), content]);
    }
    return [...bySubstance].flatMap(([substance, brought]): Finding[] => {
      const pureOf = (material: PlainMaterial): number => (substanceOf(material)?.percent ?? 0) / 100;
      const percent = brought.reduce((sum, content) => sum + content.percent * pureOf(content.material), 0);
      const ranges = brought.flatMap(({ material }) =>
        material.use === null ? [] : [{ low: material.use.low * pureOf(material), high: material.use.high * pureOf(material) }],
      );
      if (ranges.length === 0) return [];
      const lowPercent = Math.min(...ranges.map(({ low }) => low));
      const highPercent = Math.max(...ranges.map(({ high }) => high));
      const isOver = percent > highPercent + halfStepPercent;
      if (!isOver && percent >= lowPercent - halfStepPercent) return [];
      return [
        {
          code: "ACTIVE_DOSE",
          severity: isOver ? "fix" : "consider",
          lines: idsOf(linesOf(brought)),
          facts: { substance, percent, lowPercent, highPercent },
        },
      ];
    });
  },
};

/** What a material is sold for: the ingredient of which there is most beside water. */
function substanceOf({ inci }: PlainMaterial): PlainMaterial["inci"][number] | null {
  return inci.filter(({ name }) => name !== "Aqua").toSorted((a, b) => b.percent - a.percent)[0] ?? null;
}
