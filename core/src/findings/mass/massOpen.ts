import { writtenPercent } from "../../quantities/written.ts";
import { offering } from "../changes.ts";
import type { Rule } from "../finding.ts";
import { letWaterTakeRest } from "./waterLine.ts";

/** MASS_OPEN: the lines do not reach 100 % and none takes the rest. */
export const massOpen: Rule = {
  codes: ["MASS_OPEN"],
  check(judged) {
    if (judged.balance.state !== "open") return [];
    const { totalPercent, openPercent } = judged.balance;
    return [
      {
        code: "MASS_OPEN",
        severity: "fix",
        lines: [],
        what: `The lines add up to ${writtenPercent(totalPercent)} %, ${writtenPercent(openPercent)} % is open.`,
        why: "No line takes the rest, so the batch would come out lighter than planned.",
        cure: "Let one line take the rest, usually the water, or share out what is open.",
        ...offering(letWaterTakeRest(judged)),
      },
    ];
  },
};
