import { activeMatterOfLine, sumActiveMatter, type ActiveMatter } from "../actives/activeMatter.ts";
import type { Finding, NotJudged } from "../findings/finding.ts";
import { judge } from "../findings/registry.ts";
import type { MaterialsBySlug } from "../library/material.ts";
import { profileOf } from "./profiles.ts";
import { Refusal } from "./refusal.ts";
import { settle } from "./settle.ts";
import type { Formula } from "./types.ts";
import { weighSheet, type WeighedLine } from "./weighSheet.ts";

/** Stored beside every assessment, so that a reading can be traced to the sums that made it. */
export const coreVersion = "0.1.0";

/** All readings of a formula. Keys follow docs/formats; numbers are unrounded. */
export interface Assessment {
  readonly totalPercent: number;
  readonly openPercent: number;
  readonly lines: readonly WeighedLine[];
  readonly activeMatter: ActiveMatter;
  readonly findings: readonly Finding[];
  readonly notJudged: readonly NotJudged[];
}

/**
 * Reads a formula: sums, grams to weigh, active matter, findings. Pure, and the same in the browser and on the
 * server.
 * @throws Refusal when the profile or a material is unknown or a material contains itself.
 */
export function assess(formula: Formula, library: MaterialsBySlug): Assessment {
  const profile = profileOf(formula.profile);
  if (profile === undefined) {
    throw new Refusal("not-found", `There is no profile "${formula.profile}".`, "Choose one of the profiles listed.");
  }
  const { sheet, balance } = settle(formula, library);
  const activePerLine = sheet.lines.map((settled) => activeMatterOfLine(settled, sheet.materials));
  const weighed = weighSheet(sheet, balance, activePerLine);
  const activeMatter = sumActiveMatter(activePerLine);
  const { findings, notJudged } = judge({ sheet, profile, balance, activeMatter, weighed });
  return {
    totalPercent: balance.totalPercent,
    openPercent: balance.openPercent,
    lines: weighed,
    activeMatter,
    findings,
    notJudged,
  };
}
