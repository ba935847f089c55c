import { schoolOf, type SchoolSlug } from "../../formula/schools.ts";
import type { Finding, Rule } from "../finding.ts";
import { flagged, idsOf, linesOf, type Judged, slugsOf } from "../judged.ts";
import type { ResolvedLine } from "../../formula/types.ts";

/** SCHOOL_BREACH: a material that the chosen school, or the aim in its own words, leaves out. */
export const styleBreach: Rule = {
  codes: ["SCHOOL_BREACH"],
  check(judged) {
    return [...outsideStyle(judged), ...unwanted(judged)];
  },
};

function outsideStyle(judged: Judged): readonly Finding[] {
  const school = schoolOf(judged.sheet.formula.school ?? "none");
  if (school === undefined) return [];
  const outside = new Set(excludedBy(school.slug, judged));
  const lines = judged.lines.filter((resolved) => outside.has(resolved));
  if (lines.length === 0) return [];
  return [
    {
      code: "SCHOOL_BREACH",
      severity: "fix",
      lines: idsOf(lines),
      facts: { materials: slugsOf(lines), school: school.slug, without: null },
    },
  ];
}

function excludedBy(school: SchoolSlug, judged: Judged): readonly ResolvedLine[] {
  switch (school) {
    case "sulfate-free":
      return flagged(judged, "sulfate");
    case "plant-only":
      return [
        ...["sulfate", "ethoxylated", "petro-derived"].flatMap((flag) => flagged(judged, flag)),
        ...linesOf(judged.contents.filter(({ material }) => material.charge === "amphoteric" || isNoAcid(material.preservative))),
      ];
    case "true-soap":
      return linesOf(judged.contents.filter(({ resolved, material }) => isOtherCleanser(judged, resolved, material.countsAsActive)));
    case "classic":
    case "none":
      return [];
  }
}

function isNoAcid(preservative: { readonly acids: readonly unknown[] } | null): boolean {
  return preservative !== null && preservative.acids.length === 0;
}

function isOtherCleanser({ flags }: Judged, resolved: ResolvedLine, countsAsActive: boolean | null): boolean {
  return countsAsActive === true && flags.get(resolved)?.has("soap") !== true;
}

/** Words that stand for a flag rather than a name. */
const FLAG_WORDS: readonly (readonly [RegExp, string])[] = [
  [/^sul(?:f|ph)ates?$/, "sulfate"],
  [/^(?:peg|pegs|ethoxylates?|ethoxylated)$/, "ethoxylated"],
  [/^(?:petrochemicals?|mineral oil|petro.*)$/, "petro-derived"],
  [/^(?:gluten|wheat)$/, "gluten-allergen"],
  [/^nuts?$/, "nut-allergen"],
  [/^soy[a]?$/, "soy-allergen"],
];

/** What the aim wants left out, word by word: by flag, by role, or by name and INCI name. */
function unwanted(judged: Judged): readonly Finding[] {
  return (judged.sheet.formula.aim?.without ?? []).flatMap((word): Finding[] => {
    const plain = word.trim().toLowerCase();
    const lines = plain === "" ? [] : judged.lines.filter((resolved) => matches(judged, resolved, plain));
    if (lines.length === 0) return [];
    return [
      {
        code: "SCHOOL_BREACH",
        severity: "fix",
        lines: idsOf(lines),
        facts: { materials: slugsOf(lines), school: null, without: plain },
      },
    ];
  });
}

const ROLE_WORDS: Readonly<Record<string, string>> = {
  scent: "fragrance",
  perfume: "fragrance",
  dye: "colour",
  colours: "colour",
  preservatives: "preservative",
};

function matches(judged: Judged, resolved: ResolvedLine, word: string): boolean {
  const flag = FLAG_WORDS.find(([words]) => words.test(word))?.[1];
  if (flag !== undefined) return judged.flags.get(resolved)?.has(flag) === true;
  const role = ROLE_WORDS[word] ?? word;
  if (judged.contents.some((content) => content.resolved === resolved && content.material.role === role)) return true;
  const stem = word.length > 4 ? word.replace(/s$/, "") : word;
  return [resolved.material.name, ...(resolved.material.inci ?? []).map(({ name }) => name)].some((name) =>
    name.toLowerCase().includes(stem),
  );
}
