import { shownFormulaName } from "../formula/untitled.ts";
import { assess } from "../assessment/assess.ts";
import { aimedProfile } from "../formula/aim.ts";
import { gramsText } from "../formula/gramsShown.ts";
import { resolveLines } from "../formula/resolveLines.ts";
import type { Formula } from "../formula/types.ts";
import type { MaterialsBySlug } from "../library/material.ts";
import { roleOf, shownMaterial } from "../library/shownMaterial.ts";
import { writtenMass, writtenPercent, writtenShort } from "../quantities/written.ts";

export interface CardLine {
  readonly phase: string;
  readonly name: string;
  readonly percent: string;
  readonly grams: string;
  /** What it is there for. */
  readonly purpose: string;
}

/** A formula to hand on. */
export interface FormulaCard {
  readonly title: string;
  readonly subtitle: string;
  readonly lines: readonly CardLine[];
  readonly facts: readonly CardFact[];
  readonly cautions: readonly CardCaution[];
}

export type CardFact =
  | { readonly code: "active-matter"; readonly percent: number }
  | { readonly code: "ph"; readonly low: number; readonly high: number }
  | { readonly code: "irritation"; readonly load: number; readonly band: string };

export type CardCaution =
  { readonly code: "material"; readonly name: string; readonly caution: string } | { readonly code: "try-first" | "not-tested" };

/** Every card says these. */
const ALWAYS: readonly CardCaution[] = [{ code: "try-first" }, { code: "not-tested" }];

/**
 * The card of a formula: percent and grams side by side, what each material is there for, cautions of the materials.
 * @throws Refusal when a material is unknown.
 */
export function cardOf(formula: Formula, library: MaterialsBySlug): FormulaCard {
  const { sheet } = resolveLines(formula, library);
  const assessment = assess(formula, library);
  const weighed = new Map(assessment.lines.map((line) => [line.id, line]));
  const profile = aimedProfile(formula);
  const cautions = sheet.lines
    .filter(({ percent }) => percent > 0)
    .flatMap(({ material }): CardCaution[] =>
      material.caution === null ? [] : [{ code: "material", name: shownMaterial(material).name, caution: material.caution }],
    );
  const { phCorridor: corridor, activeMatter, irritation } = assessment;
  return {
    title: shownFormulaName(formula.name),
    subtitle: `${profile.name}, ${writtenMass(formula.batchGrams)}`,
    lines: sheet.lines.map(({ line, material, percent }) => {
      const own = weighed.get(line.id);
      return {
        phase: line.phase,
        name: shownMaterial(material).name,
        percent: `${writtenPercent(percent)}${line.qs === true ? " (q.s.)" : ""}`,
        grams: own === undefined ? "" : gramsText(own, formula.scales, null),
        purpose: roleOf(material),
      };
    }),
    facts: [
      { code: "active-matter", percent: activeMatter.percent },
      ...(corridor === null || corridor.empty ? [] : [{ code: "ph", low: corridor.low, high: corridor.high } as const]),
      ...(irritation === null ? [] : [{ code: "irritation", load: irritation.load, band: irritation.band } as const]),
    ],
    cautions: [...new Map([...cautions, ...ALWAYS].map((caution) => [cautionText(caution), caution])).values()],
  };
}

/** A fact of the card in words. */
export function factText(fact: CardFact): string {
  switch (fact.code) {
    case "active-matter":
      return `Active matter ${writtenPercent(fact.percent)} %.`;
    case "ph":
      return `pH ${writtenShort(fact.low, 2)} to ${writtenShort(fact.high, 2)}.`;
    case "irritation":
      return `Irritation load ${writtenShort(fact.load, 0)}, ${fact.band} (an estimate that ranks blends).`;
  }
}

/** A caution of the card in words. */
export function cautionText(caution: CardCaution): string {
  switch (caution.code) {
    case "material":
      return `${caution.name}: ${lowerFirst(caution.caution)}`;
    case "try-first":
      return "Clean and disinfect tools and containers; keep it out of the eyes; try a little on the inner arm and wait 24 hours.";
    case "not-tested":
      return "Not tested by a laboratory. Selling it usually needs a safety assessment and a responsible person: check where you live.";
  }
}

/** As it reads after a colon; "pH" and other words with a capital inside stay. */
function lowerFirst(sentence: string): string {
  return /^[A-Z][a-z]/.test(sentence) ? sentence.charAt(0).toLowerCase() + sentence.slice(1) : sentence;
}

/** Signs that mean something in Markdown stand for themselves. */
function plain(text: string): string {
  return text.replace(/[\\`*_{}[\]<>#|]/g, (sign) => `\\${sign}`).replaceAll("\n", " ");
}

/** The card as Markdown. */
export function cardMarkdown({ title, subtitle, lines, facts, cautions }: FormulaCard): string {
  const rows = lines.map(
    ({ phase, name, percent, grams, purpose }) => `| ${[phase, name, percent, grams, purpose].map(plain).join(" | ")} |`,
  );
  return [
    `# ${plain(title)}`,
    "",
    plain(subtitle),
    "",
    "| phase | material | % | g | what for |",
    "| --- | --- | ---: | ---: | --- |",
    ...rows,
    "",
    ...facts.map(factText).map(plain),
    "",
    "## Cautions",
    "",
    ...cautions.map((caution) => `- ${plain(cautionText(caution))}`),
    "",
  ].join("\n");
}
