import { saltRoute } from "../../rheology/routes.ts";
import type { Rule } from "../finding.ts";
import { idsOf, sumPercent } from "../judged.ts";
import { writtenPercent } from "../../quantities/written.ts";
import { isGel, saltLines } from "./saltLines.ts";

/** SALT_NO_GRIP: salt on a blend that does not answer to it. */
export const saltNoGrip: Rule = {
  codes: ["SALT_NO_GRIP"],
  check(judged) {
    const salts = saltLines(judged);
    if (salts.length === 0 || judged.activeMatter.percent === 0 || !isGel(judged)) return [];
    const route = saltRoute(judged.sheet);
    if (route.verdict === "works") return [];
    return [
      {
        code: "SALT_NO_GRIP",
        severity: "fix",
        lines: idsOf(salts),
        what: `${writtenPercent(sumPercent(salts))} % salt on a blend that hardly answers to it.`,
        why: route.why,
        cure: "Leave the salt out and thicken with a gum or an associative polymer, or bring in a betaine beside a sulfate, sulfonate or taurate.",
      },
    ];
  },
};
