import { placeInWindow } from "../../surfactants/activeMatter.ts";
import { offering, scaledLines } from "../changes.ts";
import type { Finding, Rule } from "../finding.ts";
import { idsOf, type Judged } from "../judged.ts";

/** ACTIVE_LOW and ACTIVE_HIGH: active matter outside the window of the profile. */
export const activeWindow: Rule = {
  codes: ["ACTIVE_LOW", "ACTIVE_HIGH"],
  check(judged): readonly Finding[] {
    const { activeMatter, profile, sheet } = judged;
    const { low, high } = profile.activePercent;
    const { percent } = activeMatter;
    const place = placeInWindow(percent, profile.activePercent);
    if (place === "within") return [];
    const isLow = place === "below";
    // A sheet that holds nothing but its water is not begun yet.
    if (isLow && sheet.lines.every(({ material }) => material.role === "water")) return [];
    // What a base of unknown strength brings may be what is missing.
    if (isLow && silentLines(judged).length > 0) return [];
    const lines = sheet.lines.filter(({ material }) => material.countsAsActive === true || material.parts !== undefined);
    const factor = isLow ? upFactor(percent, low) : downFactor(percent, high);
    return [
      {
        code: isLow ? "ACTIVE_LOW" : "ACTIVE_HIGH",
        severity: "fix",
        lines: idsOf(lines),
        facts: { profile: profile.slug, activePercent: percent, lowPercent: low, highPercent: high, factor },
        ...offering(factor === null ? undefined : scaledLines(judged, cleansing(judged), factor)),
      },
    ];
  },
  notJudged(judged) {
    const silent = silentLines(judged);
    if (silent.length === 0 || judged.profile.activePercent.high === 0) return [];
    return [{ what: "ACTIVE_LOW", lacks: "active-content", lines: idsOf(silent) }];
  },
};

/** Surfactants and ready bases nobody knows the strength of. */
function silentLines({ lines }: Judged) {
  return lines.filter(
    ({ material: { role, parts, active } }) => (role === "surfactant" || role === "base") && parts === undefined && active === null,
  );
}

/** Lines whose share sets the active matter; blends among them carry more than cleansers, but go by the same factor. */
function cleansing({ lines, weighed }: Judged) {
  const active = new Set(weighed.filter(({ activePercent }) => activePercent > 0).map(({ id }) => id));
  return lines.filter(({ line }) => active.has(line.id));
}

function upFactor(percent: number, low: number): number | null {
  return percent === 0 ? null : Math.ceil((low / percent) * 100) / 100;
}

function downFactor(percent: number, high: number): number | null {
  return high === 0 ? null : Math.floor((high / percent) * 100) / 100;
}
