import type { PreservativeDose } from "../../preservation/preservatives.ts";
import type { ResolvedLine } from "../../formula/types.ts";
import { lineAdded, offering, scaledLines } from "../changes.ts";
import type { Finding, Rule } from "../finding.ts";
import type { Judged } from "../judged.ts";

/** PRESERVATIVE_LOW, _HIGH and _DILUTED: a dose outside the usual range; DILUTED where it came inside another material. */
export const preservativeDose: Rule = {
  codes: ["PRESERVATIVE_LOW", "PRESERVATIVE_HIGH", "PRESERVATIVE_DILUTED"],
  check(judged) {
    return judged.doses.flatMap((dose) => {
      if (dose.use === null) return [];
      if (dose.percent > dose.use.high + judged.halfStepPercent) return [tooHigh(judged, dose, dose.use.high)];
      const isLow = judged.wetPercent > 0 && dose.percent < dose.use.low - judged.halfStepPercent;
      return isLow && !isTrace(judged, dose) ? [tooLow(judged, dose, dose.use.low)] : [];
    });
  },
  notJudged({ doses, lines }) {
    const unknown = doses.filter(({ use }) => use === null).flatMap((dose) => dose.lines);
    const silent = lines.filter(
      ({ material }) => material.role === "preservative" && material.parts === undefined && material.preservative === null,
    );
    return [
      ...(unknown.length > 0 ? [{ what: "PRESERVATIVE_LOW" as const, lacks: "preservative-dose" as const, lines: unknown }] : []),
      ...(silent.length > 0
        ? [{ what: "PRESERVATIVE_PH" as const, lacks: "preservative-ph" as const, lines: silent.map(({ line }) => line.id) }]
        : []),
    ];
  },
};

/** What only comes along in another material, beside a preservative that is dosed in full, is no dose of its own. */
export function isTrace(judged: Judged, dose: PreservativeDose): boolean {
  if (ownLines(judged, dose).length > 0 || dose.use === null || dose.percent >= dose.use.low) return false;
  return judged.doses.some((other) => other !== dose && other.use !== null && other.percent >= other.use.low - judged.halfStepPercent);
}

/** Lines that are this preservative and nothing else. */
function ownLines({ lines }: Judged, dose: PreservativeDose): readonly ResolvedLine[] {
  return lines.filter(({ material }) => material.slug === dose.material);
}

function factorOfOwn(judged: Judged, dose: PreservativeDose, wanted: number): number | null {
  const own = ownLines(judged, dose).reduce((sum, { percent }) => sum + percent, 0);
  const factor = own > 0 ? (own + wanted - dose.percent) / own : 0;
  return factor > 0 ? factor : null;
}

function tooHigh(judged: Judged, dose: PreservativeDose, high: number): Finding {
  const factor = factorOfOwn(judged, dose, high);
  return {
    code: "PRESERVATIVE_HIGH",
    severity: "fix",
    lines: dose.lines,
    facts: { material: dose.material, percent: dose.percent, highPercent: high },
    ...offering(factor === null ? undefined : scaledLines(judged, ownLines(judged, dose), factor)),
  };
}

function tooLow(judged: Judged, dose: PreservativeDose, low: number): Finding {
  const own = ownLines(judged, dose);
  const inside = dose.lines.length > own.length;
  const factor = factorOfOwn(judged, dose, low);
  const carrier = judged.lines.find(({ line }) => dose.lines.includes(line.id));
  const raised = factor === null ? undefined : scaledLines(judged, own, factor);
  const added = own.length > 0 || carrier === undefined ? undefined : lineAdded(judged, dose.material, low - dose.percent, carrier);
  return {
    code: inside ? "PRESERVATIVE_DILUTED" : "PRESERVATIVE_LOW",
    severity: "fix",
    lines: dose.lines,
    facts: { material: dose.material, percent: dose.percent, lowPercent: low },
    ...offering(raised ?? added),
  };
}
