import { activeMatterOfLine, chargeShares } from "../../surfactants/activeMatter.ts";
import { charges, type Charge } from "../../library/material.ts";
import type { Assessment } from "../assess.ts";
import type { ResolvedSheet } from "../../formula/types.ts";

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

/** Sums carry noise of this size. */
const NOISE = 1e-9;

/** What is not as before, in the order of the readings. */
export function changesBetween(
  before: ReadonlyMap<ChangedReading, number | null>,
  after: ReadonlyMap<ChangedReading, number | null>,
): readonly Changed[] {
  return [...before].flatMap(([reading, value]): Changed[] => {
    const now = after.get(reading) ?? null;
    return isSame(value, now) ? [] : [{ reading, before: value, after: now }];
  });
}

function isSame(a: number | null, b: number | null): boolean {
  return a === b || (a !== null && b !== null && Math.abs(a - b) <= NOISE);
}

/** Every number that two versions are compared by; null is not known. */
export function readingValues(
  sheet: ResolvedSheet,
  assessment: Assessment,
  pricePerKg?: ReadonlyMap<string, number>,
): ReadonlyMap<ChangedReading, number | null> {
  const shares = chargeShares(assessment.activeMatter);
  const rest = sheet.lines.find(({ line }) => line.qs === true);
  return new Map<ChangedReading, number | null>([
    ["restPercent", rest?.percent ?? null],
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
}

/** Active matter of materials that answer to salt, % w/w. */
function saltThickenedPercent({ lines, materials }: ResolvedSheet): number {
  return lines.reduce((sum, resolved) => {
    const answers = resolved.material.flags.includes("salt-thickens");
    return answers ? sum + activeMatterOfLine(resolved, materials).percent : sum;
  }, 0);
}

/** Cost of a kilogram; null unless every line that costs something has a price. Water is free. */
function costPerKg({ lines }: ResolvedSheet, prices: ReadonlyMap<string, number> | undefined): number | null {
  if (prices === undefined) return null;
  let cost = 0;
  for (const { material, percent } of lines) {
    const price = prices.get(material.slug) ?? (material.role === "water" ? 0 : undefined);
    if (price === undefined && percent > 0) return null;
    cost += (percent * (price ?? 0)) / 100;
  }
  return cost;
}
