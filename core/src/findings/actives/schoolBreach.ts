import { schoolOf, type SchoolSlug } from "../../formula/schools.ts";
import type { Rule } from "../finding.ts";
import { flagged, idsOf, linesOf, type Judged } from "../judged.ts";
import type { SettledLine } from "../../formula/types.ts";
import { isOrAre, namesOf } from "../wording.ts";

/** SCHOOL_BREACH: a material that the chosen school leaves out. */
export const schoolBreach: Rule = {
  codes: ["SCHOOL_BREACH"],
  check(judged) {
    const school = schoolOf(judged.sheet.formula.school ?? "none");
    if (school === undefined) return [];
    const outside = new Set(excludedBy(school.slug, judged));
    const lines = judged.lines.filter((settled) => outside.has(settled));
    if (lines.length === 0) return [];
    return [
      {
        code: "SCHOOL_BREACH",
        severity: "fix",
        lines: idsOf(lines),
        what: `${namesOf(lines)} ${isOrAre(lines.length)} outside the ${school.name} way of working.`,
        why: `You chose it: ${school.reason}.`,
        cure: "Exchange it at equal active matter, or choose another school.",
      },
    ];
  },
};

function excludedBy(school: SchoolSlug, judged: Judged): readonly SettledLine[] {
  switch (school) {
    case "sulfate-free":
      return flagged(judged, "sulfate");
    case "plant-only":
      return [
        ...["sulfate", "ethoxylated", "petro-derived"].flatMap((flag) => flagged(judged, flag)),
        ...linesOf(judged.contents.filter(({ material }) => material.charge === "amphoteric" || isNoAcid(material.preservative))),
      ];
    case "true-soap":
      return linesOf(judged.contents.filter(({ settled, material }) => isOtherCleanser(judged, settled, material.countsAsActive)));
    case "classic":
    case "none":
      return [];
  }
}

function isNoAcid(preservative: { readonly acids: readonly unknown[] } | null): boolean {
  return preservative !== null && preservative.acids.length === 0;
}

function isOtherCleanser({ flags }: Judged, settled: SettledLine, countsAsActive: boolean | null): boolean {
  return countsAsActive === true && flags.get(settled)?.has("soap") !== true;
}
