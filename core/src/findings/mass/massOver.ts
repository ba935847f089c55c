import { writtenPercent } from "../../quantities/written.ts";
import { shownMaterial } from "../../library/shownMaterial.ts";
import { lineSetTo, offering } from "../changes.ts";
import type { Rule } from "../finding.ts";

/** MASS_OVER: the lines exceed 100 %. */
export const massOver: Rule = {
  codes: ["MASS_OVER"],
  check(judged) {
    const { balance, sheet, lines } = judged;
    if (balance.state !== "over") return [];
    const excess = balance.othersPercent - 100;
    const rest = sheet.lines.find((resolved) => resolved.line.qs === true);
    const water = lines.find(({ material, percent }) => material.role === "water" && percent > excess);
    return [
      {
        code: "MASS_OVER",
        severity: "stop",
        lines: rest === undefined ? [] : [rest.line.id],
        what: `The lines add up to ${writtenPercent(balance.othersPercent)} %.`,
        why:
          rest === undefined
            ? "A sheet cannot hold more than 100 %."
            : `The line that takes the rest, ${shownMaterial(rest.material).name}, cannot go below 0.`,
        cure: `Take ${writtenPercent(excess)} % out${rest === undefined && water !== undefined ? ", of the water" : ""}.`,
        ...offering(rest !== undefined || water === undefined ? undefined : lineSetTo(judged, water, water.percent - excess)),
      },
    ];
  },
};
