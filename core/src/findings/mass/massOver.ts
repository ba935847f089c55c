import { writtenPercent } from "../../quantities/written.ts";
import type { Rule } from "../finding.ts";
import { shownMaterial } from "../../library/shownMaterial.ts";

/** MASS_OVER: the lines exceed 100 %. */
export const massOver: Rule = {
  codes: ["MASS_OVER"],
  check({ balance, sheet }) {
    if (balance.state !== "over") return [];
    const excess = balance.othersPercent - 100;
    const rest = sheet.lines.find((settled) => settled.line.qs === true);
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
        cure: `Take ${writtenPercent(excess)} % out.`,
      },
    ];
  },
};
