import { smallDoseWay } from "../../formula/smallDose.ts";
import { finestFirst } from "../../quantities/scales.ts";
import { tooSmallCures } from "../../quantities/tooSmall.ts";
import type { Finding, Rule } from "../finding.ts";

/** TOO_SMALL_TO_WEIGH: a line below 20 steps of the finest scale, with both cures. */
export const tooSmallToWeigh: Rule = {
  codes: ["TOO_SMALL_TO_WEIGH"],
  check({ sheet, weighed, balance }) {
    if (!weighed.some((line) => line.tooSmall)) return [];
    const finest = finestFirst(sheet.formula.scales)[0];
    if (finest === undefined) return [];
    const step = finest.readabilityGrams;
    const findings: Finding[] = [];
    weighed.forEach((line, index) => {
      const resolved = sheet.lines[index];
      if (!line.tooSmall || resolved === undefined) return;
      const cures = tooSmallCures(line.grams, line.percent, step);
      const roomPercent = balance.hasQs ? balance.qsPercent : 0;
      const stock =
        cures.stock !== null && stockWaterPercent(line.percent, cures.stock.strengthPercent) <= roomPercent ? cures.stock : null;
      const way = smallDoseWay(resolved.material);
      findings.push({
        code: "TOO_SMALL_TO_WEIGH",
        severity: stock === null && way === "solution" ? "fix" : "consider",
        lines: [line.id],
        facts: {
          material: resolved.material.slug,
          grams: line.grams,
          scale: finest.name,
          stepGrams: step,
          leastGrams: cures.leastGrams,
          smallestBatchGrams: Math.ceil(cures.smallestBatchGrams),
          dilution: stock,
        },
        change: { kind: "batch", batchGrams: Math.ceil(cures.smallestBatchGrams) },
      });
    });
    return findings;
  },
  notJudged({ sheet }) {
    if (sheet.formula.scales.length > 0) return [];
    return [{ what: "TOO_SMALL_TO_WEIGH", lacks: "scale", lines: [] }];
  },
};

/** Water a stock solution of that strength brings beside the material, % w/w of the formula. */
function stockWaterPercent(percent: number, strengthPercent: number): number {
  return (percent * 100) / strengthPercent - percent;
}
