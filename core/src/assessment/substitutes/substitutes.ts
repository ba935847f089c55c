import { activeContentOf } from "../../surfactants/activeMatter.ts";
import type { MaterialsBySlug } from "../../library/material.ts";
import { Refusal } from "../../quantities/refusal.ts";
import type { Formula } from "../../formula/types.ts";
import type { Changed, ChangedReading } from "../versions/changedReadings.ts";
import { substitute, type Substituted } from "./substitute.ts";

export interface Substitute extends Substituted {
  /** Slug. */
  readonly material: string;
  /** How much it changes, weighted; 0 is nothing. */
  readonly score: number;
}

/** What one step of a reading counts, and how large the step is. Others do not count. */
const WEIGHTS: Partial<Readonly<Record<ChangedReading, { readonly step: number; readonly weight: number }>>> = {
  anionicSharePercent: { step: 10, weight: 1 },
  amphotericSharePercent: { step: 10, weight: 1 },
  nonionicSharePercent: { step: 10, weight: 1 },
  saltPercent: { step: 0.5, weight: 1 },
  irritationLoad: { step: 15, weight: 1 },
  foamFlash: { step: 1, weight: 0.5 },
  foamDensity: { step: 1, weight: 0.5 },
  foamStability: { step: 1, weight: 0.5 },
  saltThickenedPercent: { step: 3, weight: 1 },
  phLow: { step: 0.3, weight: 0.5 },
  phHigh: { step: 0.3, weight: 0.5 },
};
/** A finding that comes up counts so much; a stop counts like many. */
const NEW_FINDING = 2;
/** A reading that is known before and not after. */
const LOST_READING = 1;

/**
 * What could stand in for the cleanser of a line at equal active matter, the least change first: shares of the charge
 * types, salt, irritation, foam, answer to salt, pH, and findings that come up, each by its weight.
 * @throws Refusal when there is no such line or it brings no active matter.
 */
export function substitutesFor(formula: Formula, lineId: string, library: MaterialsBySlug): readonly Substitute[] {
  const line = formula.lines.find(({ id }) => id === lineId);
  const old = line === undefined ? undefined : library.get(line.material);
  if (line === undefined || old === undefined || line.qs === true || activeContentOf(old, library).percent <= 0) {
    throw new Refusal("not-possible", "Only a cleanser can be exchanged at equal active matter.", "Choose a line with a cleanser.");
  }
  const found: Substitute[] = [];
  for (const material of library.values()) {
    if (material.slug === line.material || activeContentOf(material, library).percent <= 0) continue;
    const outcome = tried(formula, lineId, material.slug, library);
    if (outcome !== null) found.push({ ...outcome, material: material.slug, score: scoreOf(outcome) });
  }
  return found.sort((a, b) => a.score - b.score || (a.material < b.material ? -1 : 1));
}

/** Null where it would take more than the sheet holds. */
function tried(formula: Formula, lineId: string, material: string, library: MaterialsBySlug): Substituted | null {
  try {
    return substitute(formula, { lineId, material }, library);
  } catch (error) {
    if (error instanceof Refusal) return null;
    throw error;
  }
}

function scoreOf({ changes, findingsNew }: Substituted): number {
  return changes.reduce((sum, change) => sum + weightOf(change), 0) + findingsNew.length * NEW_FINDING;
}

function weightOf({ reading, before, after }: Changed): number {
  const counted = WEIGHTS[reading];
  if (counted === undefined) return 0;
  if (before === null || after === null) return LOST_READING;
  return (counted.weight * Math.abs(after - before)) / counted.step;
}
