import type { WordedFinding } from "../wording/catalogue.ts";
import type { MaterialsBySlug } from "../../library/material.ts";
import { aimOf } from "../../formula/aim.ts";
import { assess } from "../assess.ts";
import type { Known } from "../readings.ts";
import { resolveLines } from "../../formula/resolveLines.ts";
import type { Formula, ResolvedLine } from "../../formula/types.ts";
import { changesBetween, readingValues, type Changed } from "./changedReadings.ts";

/** One line in two versions; null where it is not there. */
export interface LineDifference {
  readonly id: string;
  readonly before: ComparedLine | null;
  readonly after: ComparedLine | null;
}

export interface ComparedLine {
  readonly material: string;
  readonly phase: string;
  readonly percent: number;
  readonly takesTheRest: boolean;
  readonly assayPercent: number | null;
}

/** Something about the whole sheet, in words. */
export interface HeadDifference {
  readonly what: string;
  readonly before: string;
  readonly after: string;
}

export interface FormulaDifference {
  readonly head: readonly HeadDifference[];
  /** Only lines that differ. */
  readonly lines: readonly LineDifference[];
  readonly readings: readonly Changed[];
  readonly findingsNew: readonly WordedFinding[];
  readonly findingsGone: readonly WordedFinding[];
}

/**
 * What differs between two versions of a formula, and what it did to each reading. Lines are the same line by their id.
 * @param libraries The materials each version was read with.
 * @param known What the maker measured beside the formulas; both versions are read with it.
 * @throws Refusal when a material is unknown.
 */
export function differenceOf(
  before: Formula,
  after: Formula,
  libraries: { readonly before: MaterialsBySlug; readonly after: MaterialsBySlug },
  known: Known = {},
): FormulaDifference {
  const [left, right] = [resolveLines(before, libraries.before).sheet, resolveLines(after, libraries.after).sheet];
  const [read, reread] = [assess(before, libraries.before, known), assess(after, libraries.after, known)];
  const [saidBefore, saidAfter] = [subjectsOf(read.findings), subjectsOf(reread.findings)];
  return {
    head: headDifferences(before, after),
    lines: lineDifferences(left.lines, right.lines),
    readings: changesBetween(readingValues(left, read), readingValues(right, reread)),
    findingsNew: reread.findings.filter((finding) => !saidBefore.has(subjectOf(finding))),
    findingsGone: read.findings.filter((finding) => !saidAfter.has(subjectOf(finding))),
  };
}

/** What a finding is of: the same one with other numbers is neither new nor gone. */
function subjectOf({ code, lines }: WordedFinding): string {
  return [code, ...[...lines].sort()].join(" ");
}

function subjectsOf(findings: readonly WordedFinding[]): ReadonlySet<string> {
  return new Set(findings.map(subjectOf));
}

function headDifferences(before: Formula, after: Formula): readonly HeadDifference[] {
  const [from, to] = [aimOf(before), aimOf(after)];
  const temperatures = ({ phases }: Formula): string =>
    phases.map(({ id, temperatureC }) => `${id} ${temperatureC === undefined ? "room" : `${temperatureC} °C`}`).join(", ");
  const measured = (value: number | undefined): string => (value === undefined ? "not measured" : String(value));
  const pairs: readonly (readonly [string, string, string])[] = [
    ["Name", before.name, after.name],
    ["Profile", before.profile, after.profile],
    ["Batch, g", String(before.batchGrams), String(after.batchGrams)],
    ["Formulation style", from.school, to.school],
    ["For whom", from.forWhom, to.forWhom],
    ["Look", from.look, to.look],
    ["Thickness", from.thickness, to.thickness],
    ["Near the eye", String(from.eyeArea), String(to.eyeArea)],
    ["Left on", String(from.leftOn), String(to.leftOn)],
    ["Without", from.without.join(", "), to.without.join(", ")],
    ["Close to", from.closeTo, to.closeTo],
    ["Phases", temperatures(before), temperatures(after)],
    ["Measured pH", measured(before.measured?.ph), measured(after.measured?.ph)],
    ["Measured density, g/mL", measured(before.measured?.densityGramsPerMl), measured(after.measured?.densityGramsPerMl)],
  ];
  const differing = pairs.filter(([, a, b]) => a !== b).map(([what, a, b]) => ({ what, before: a, after: b }));
  // Steps in another order read alike: that they differ is told by all they hold.
  const haveOtherSteps = JSON.stringify(before.process) !== JSON.stringify(after.process);
  return haveOtherSteps ? [...differing, { what: "Steps", before: stepsWords(before), after: stepsWords(after) }] : differing;
}

/** How many steps the maker has and what they call those they named; "as suggested" where there are none. */
function stepsWords({ process }: Formula): string {
  if (process === undefined) return "as suggested";
  const named = process.steps.flatMap(({ title }) => title ?? []);
  return `${process.steps.length} of your own order${named.length === 0 ? "" : `: ${named.join(", ")}`}`;
}

function lineDifferences(before: readonly ResolvedLine[], after: readonly ResolvedLine[]): readonly LineDifference[] {
  const [left, right] = [byId(before), byId(after)];
  const ids = [...new Set([...right.keys(), ...left.keys()])];
  return ids
    .map((id): LineDifference => ({ id, before: left.get(id) ?? null, after: right.get(id) ?? null }))
    .filter(({ before: a, after: b }) => !isSame(a, b));
}

function byId(lines: readonly ResolvedLine[]): ReadonlyMap<string, ComparedLine> {
  return new Map(
    lines.map(({ line, material, percent }) => [
      line.id,
      { material: material.slug, phase: line.phase, percent, takesTheRest: line.qs === true, assayPercent: line.assayPercent ?? null },
    ]),
  );
}

/** Sums carry noise of this size, % w/w. */
const NOISE_PERCENT = 1e-9;

function isSame(a: ComparedLine | null, b: ComparedLine | null): boolean {
  if (a === null || b === null) return a === b;
  return (
    a.material === b.material &&
    a.phase === b.phase &&
    a.takesTheRest === b.takesTheRest &&
    a.assayPercent === b.assayPercent &&
    Math.abs(a.percent - b.percent) <= NOISE_PERCENT
  );
}
