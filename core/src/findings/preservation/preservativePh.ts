import { writtenShort } from "../../quantities/written.ts";
import type { Rule } from "../finding.ts";
import type { Judged } from "../judged.ts";
import { nameOfSlug } from "../wording.ts";

/** PRESERVATIVE_PH: the pH lies outside the range the preservative works in. */
export const preservativePh: Rule = {
  codes: ["PRESERVATIVE_PH"],
  check({ doses, ph, sheet, wetPercent }) {
    const at = ph.ph;
    if (at === null || wetPercent === 0) return [];
    return doses.flatMap(({ material, facts, lines }) => {
      const { effectivePhLow: low, effectivePhHigh: high, acids } = facts;
      if (at >= low && at <= high) return [];
      return [
        {
          code: "PRESERVATIVE_PH" as const,
          severity: "fix" as const,
          lines,
          what: `${nameOfSlug(material, sheet)} works from pH ${writtenShort(low, 1)} to ${writtenShort(high, 1)}; the wash has ${writtenShort(at, 2)} (${sourceOf(ph)}).`,
          why:
            at > high && acids.length > 0
              ? "Only the undissociated acid keeps, and it fades tenfold with every pH unit."
              : "Outside that range it falls apart or stops working.",
          cure:
            at > high
              ? `Bring the pH down to ${writtenShort(high, 1)} or below, or exchange the preservative.`
              : `Raise the pH to ${writtenShort(low, 1)} or above, or exchange the preservative.`,
        },
      ];
    });
  },
  notJudged({ doses, ph, wetPercent }) {
    if (ph.ph !== null || doses.length === 0 || wetPercent === 0) return [];
    return [{ what: "PRESERVATIVE_PH", missing: "a measured pH, or an aim that has one", lines: doses.flatMap(({ lines }) => lines) }];
  },
};

function sourceOf({ from }: Judged["ph"]): string {
  if (from === "measured") return "measured";
  return from === "corridor" ? "high end of the corridor" : "high end of the profile";
}
