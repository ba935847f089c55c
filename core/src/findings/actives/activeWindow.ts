import { writtenPercent, writtenShort } from "../../quantities/written.ts";
import type { Finding, Rule } from "../finding.ts";

/** Sums of actives carry noise of this size, % w/w. */
const NOISE_PERCENT = 1e-9;

/** ACTIVE_LOW and ACTIVE_HIGH: active matter outside the window of the profile. */
export const activeWindow: Rule = {
  codes: ["ACTIVE_LOW", "ACTIVE_HIGH"],
  check({ activeMatter, profile, sheet }): readonly Finding[] {
    const { low, high } = profile.activePercent;
    const { percent } = activeMatter;
    const isLow = percent < low - NOISE_PERCENT;
    if (!isLow && percent <= high + NOISE_PERCENT) return [];
    const window = low === high ? `${writtenShort(low, 2)} %` : `${writtenShort(low, 2)} to ${writtenShort(high, 2)} %`;
    return [
      {
        code: isLow ? "ACTIVE_LOW" : "ACTIVE_HIGH",
        severity: "fix",
        lines: sheet.lines.filter(({ material }) => bringsActives(material)).map(({ line }) => line.id),
        what: `Active matter is ${writtenPercent(percent)} %; ${withArticle(profile.name)} usually has ${window}.`,
        why: `${capital(profile.activeReason)}.`,
        cure: isLow ? lowCure(percent, low) : highCure(percent, high),
      },
    ];
  },
};

function bringsActives(material: { readonly countsAsActive: boolean | null; readonly parts?: unknown }): boolean {
  return material.countsAsActive === true || material.parts !== undefined;
}

function lowCure(percent: number, low: number): string {
  if (percent === 0) return "Begin with the cleansers.";
  return `Raise the cleansers together by a factor of ${writtenShort(Math.ceil((low / percent) * 100) / 100, 2)}; the water gives way.`;
}

function highCure(percent: number, high: number): string {
  if (high === 0) return "Take the cleansing surfactants out.";
  return `Lower the cleansers together to ${writtenShort(Math.floor((high / percent) * 100), 0)} % of what they are; the water fills up.`;
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

function withArticle(name: string): string {
  return `${/^[aeiou]/.test(name) ? "an" : "a"} ${name}`;
}
