import { activeContentOf, activeMatterOfLine, chargeShares } from "../../actives/activeMatter.ts";
import type { Charge, Material, MaterialsBySlug } from "../../library/material.ts";
import { charges } from "../../library/material.ts";
import { assess, type Assessment } from "../assess.ts";
import { Refusal } from "../refusal.ts";
import { settle, withOwnMaterials } from "../settle.ts";
import type { Formula, FormulaLine, SettledSheet } from "../types.ts";

export interface Substitution {
  readonly lineId: string;
  /** Slug of the material that comes in. */
  readonly material: string;
  /** Active content by its certificate, %. */
  readonly assayPercent?: number;
  /** Price of each material by slug, per kg, where known. */
  readonly pricePerKg?: ReadonlyMap<string, number>;
}

/** A reading before and after; null is not known. */
export interface Changed {
  readonly reading: ChangedReading;
  readonly before: number | null;
  readonly after: number | null;
}

export type ChangedReading =
  | "linePercent"
  | "restPercent"
  | "activeMatterPercent"
  | `${Charge}SharePercent`
  | "saltPercent"
  | "electrolytePercent"
  | "irritationIndex"
  | "irritationLoad"
  | "freeAnionicMillimolar"
  | "relief"
  | "foamFlash"
  | "foamDensity"
  | "foamStability"
  | "saltThickenedPercent"
  | "phLow"
  | "phHigh"
  | "densityGramsPerMl"
  | "waterActivity"
  | "costPerKg";

export interface Substituted {
  readonly formula: Formula;
  /** Of the line, % w/w. */
  readonly percent: number;
  /** Everything that is not as before. */
  readonly changes: readonly Changed[];
  /** Codes of findings that come and go. */
  readonly findingsNew: readonly string[];
  readonly findingsGone: readonly string[];
}

/**
 * One material for another at equal active matter: percent × active ⁄ active of the new one; the q.s. line takes the
 * difference. 20 % of a 30 % betaine is 15 % of a 40 % one.
 * @throws Refusal when the line is not there, takes the rest, one of the two brings no active matter, or the line would
 * exceed 100 %.
 */
export function substitute(formula: Formula, wanted: Substitution, library: MaterialsBySlug): Substituted {
  const materials = withOwnMaterials(library, formula.materials);
  const before = settle(formula, library).sheet;
  const old = before.lines.find(({ line }) => line.id === wanted.lineId);
  const next = materials.get(wanted.material);
  if (old === undefined || next === undefined || old.line.qs === true) {
    throw new Refusal(
      "not-found",
      "There is no such line or material to exchange.",
      "Choose a line with a percent and a material of the library.",
    );
  }
  const percent = equalActivePercent(activeMatterOfLine(old, materials).percent, old.material, next, wanted, materials);
  const exchanged = formula.lines.map((line) => (line.id === wanted.lineId ? exchangedLine(line, percent, wanted) : line));
  const changed: Formula = { ...formula, lines: exchanged };
  const after = settle(changed, library).sheet;
  return { formula: changed, percent, ...compare({ before, after, formula, changed, wanted, library }) };
}

function exchangedLine(line: FormulaLine, percent: number, { material, assayPercent }: Substitution): FormulaLine {
  return { id: line.id, phase: line.phase, material, percent, ...(assayPercent === undefined ? {} : { assayPercent }) };
}

function equalActivePercent(
  activePercent: number,
  old: Material,
  next: Material,
  { assayPercent }: Substitution,
  materials: MaterialsBySlug,
): number {
  const content = activeContentOf(next, materials).percent;
  const strength = content > 0 && assayPercent !== undefined ? assayPercent : content;
  if (activePercent <= 0 || strength <= 0) {
    const without = activePercent <= 0 ? old : next;
    throw new Refusal(
      "not-possible",
      `${without.name} brings no active matter to compare by.`,
      "Exchange it by hand at the percent you choose.",
    );
  }
  const percent = (100 * activePercent) / strength;
  if (percent > 100) {
    throw new Refusal("not-possible", `It would take ${percent.toFixed(1)} % of ${next.name}.`, "Choose a stronger material.");
  }
  return percent;
}

interface Compared {
  readonly before: SettledSheet;
  readonly after: SettledSheet;
  readonly formula: Formula;
  readonly changed: Formula;
  readonly wanted: Substitution;
  readonly library: MaterialsBySlug;
}

function compare({ before, after, formula, changed, wanted, library }: Compared) {
  const left = readingsOf(before, assess(formula, library), wanted);
  const right = readingsOf(after, assess(changed, library), wanted);
  const changes = [...left.values].flatMap(([reading, value]): Changed[] => {
    const now = right.values.get(reading) ?? null;
    return isSame(value, now) ? [] : [{ reading, before: value, after: now }];
  });
  return {
    changes,
    findingsNew: right.codes.filter((code) => !left.codes.includes(code)),
    findingsGone: left.codes.filter((code) => !right.codes.includes(code)),
  };
}

/** Sums carry noise of this size. */
const NOISE = 1e-9;

function isSame(a: number | null, b: number | null): boolean {
  return a === b || (a !== null && b !== null && Math.abs(a - b) <= NOISE);
}

function readingsOf(sheet: SettledSheet, assessment: Assessment, { lineId, pricePerKg }: Substitution) {
  const shares = chargeShares(assessment.activeMatter);
  const percentOf = (wantedLine: (line: FormulaLine) => boolean): number | null =>
    sheet.lines.find(({ line }) => wantedLine(line))?.percent ?? null;
  const values = new Map<ChangedReading, number | null>([
    ["linePercent", percentOf((line) => line.id === lineId)],
    ["restPercent", percentOf((line) => line.qs === true)],
    ["activeMatterPercent", assessment.activeMatter.percent],
    ...charges.map((charge): [ChangedReading, number] => [`${charge}SharePercent`, shares[charge]]),
    ["saltPercent", assessment.saltPercent],
    ["electrolytePercent", assessment.electrolytePercent],
    ["irritationIndex", assessment.irritation?.index ?? null],
    ["irritationLoad", assessment.irritation?.load ?? null],
    ["freeAnionicMillimolar", assessment.micelles?.freeAnionicMillimolar ?? null],
    ["relief", assessment.micelles?.relief ?? null],
    ["foamFlash", assessment.foam?.flash ?? null],
    ["foamDensity", assessment.foam?.density ?? null],
    ["foamStability", assessment.foam?.stability ?? null],
    ["saltThickenedPercent", saltThickenedPercent(sheet)],
    ["phLow", assessment.phCorridor?.low ?? null],
    ["phHigh", assessment.phCorridor?.high ?? null],
    ["densityGramsPerMl", assessment.densityGramsPerMl],
    ["waterActivity", assessment.waterActivity],
    ["costPerKg", costPerKg(sheet, pricePerKg)],
  ]);
  return { values, codes: [...new Set<string>(assessment.findings.map(({ code }) => code))] };
}

/** Active matter of materials that answer to salt, % w/w. */
function saltThickenedPercent({ lines, materials }: SettledSheet): number {
  return lines.reduce((sum, settled) => {
    const answers = settled.material.flags.includes("salt-thickens");
    return answers ? sum + activeMatterOfLine(settled, materials).percent : sum;
  }, 0);
}

/** Cost of a kilogram; null unless every line that costs something has a price. Water is free. */
function costPerKg({ lines }: SettledSheet, prices: ReadonlyMap<string, number> | undefined): number | null {
  if (prices === undefined) return null;
  let cost = 0;
  for (const { material, percent } of lines) {
    const price = prices.get(material.slug) ?? (material.role === "water" ? 0 : undefined);
    if (price === undefined && percent > 0) return null;
    cost += (percent * (price ?? 0)) / 100;
  }
  return cost;
}
