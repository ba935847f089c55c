import { saltRoute } from "../../rheology/routes.ts";
import type { Rule } from "../finding.ts";
import { idsOf, sumPercent } from "../judged.ts";
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
        facts: { saltPercent: sumPercent(salts), isBetaineMissing: route.reason === "betaine-missing" },
      },
    ];
  },
};
