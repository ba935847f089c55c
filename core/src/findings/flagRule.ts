import type { FindingFacts } from "./facts.ts";
import type { Rule } from "./finding.ts";
import { flagged, idsOf, slugsOf } from "./judged.ts";

type FlagCode = "DUST" | "CORROSIVE" | "EYE_IRRITANT" | "NUT" | "GLUTEN" | "SOY";

/** A rule that speaks as soon as a material carries a flag, to be considered. */
export function flagRule(code: FlagCode, flag: string): Rule {
  return {
    codes: [code],
    check(judged) {
      // Less than half a step of the scale is nobody's handful.
      const lines = flagged(judged, flag).filter(({ percent }) => percent >= judged.halfStepPercent);
      if (lines.length === 0) return [];
      const facts: FindingFacts[FlagCode] = { materials: slugsOf(lines) };
      return [{ code, severity: "consider", lines: idsOf(lines), facts }];
    },
  };
}
