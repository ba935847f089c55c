import { rawPhForecast } from "../acidity/rawPh.ts";
import { readingOf } from "../assessment/readings.ts";
import { resolveLines } from "../formula/resolveLines.ts";
import type { Formula } from "../formula/types.ts";
import type { MaterialsBySlug } from "../library/material.ts";
import type { Measurements } from "./measured.ts";
import type { Expected, ModelEffect } from "./nextRound.ts";

/** A model that was never held against this wash may be off by this part of what it says. Ours. */
const ROOM = 0.6;
/** The wish of a forecast does not matter for the pH it comes out with. */
const ANY_PH = 5.5;
const LEAST = 1e-6;

/**
 * What the models say a change of one line does to what is measured: an acid or a base to the pH, by the difference of two
 * forecasts of the whole; a cleanser to the foam at once, in the proportion in which the estimate of its flash changes. Both as
 * estimates, from 40 to 160 % of what they say.
 */
export function modelEffects(formula: Formula, materials: MaterialsBySlug, measured: Measurements): ModelEffect {
  const phOf = (of: Formula): number | null => rawPhForecast(resolveLines(of, materials).sheet, ANY_PH, () => false)?.ph ?? null;
  const flashOf = (of: Formula): number | null => readingOf(of, materials).readings.foam?.flash ?? null;
  return (material, from, to) => {
    const [before, after] = [withPercent(formula, material, from), withPercent(formula, material, to)];
    const facts = materials.get(material);
    if (before === null || after === null || facts === undefined) return [];
    const effects: Expected[] = [];
    if (measured.ph !== undefined && facts.acidBase !== null && facts.role === "ph-adjuster") {
      const [was, is] = [phOf(before), phOf(after)];
      if (was !== null && is !== null) effects.push(expected("ph", is - was));
    }
    if (measured.foamAtOnceMm !== undefined && facts.role === "surfactant") {
      const [was, is] = [flashOf(before), flashOf(after)];
      if (was !== null && is !== null && was > 0) effects.push(expected("foamAtOnceMm", measured.foamAtOnceMm * (is / was - 1)));
    }
    return effects.filter(({ likely }) => Math.abs(likely) > LEAST);
  };
}

function expected(kind: Expected["kind"], likely: number): Expected {
  const room = ROOM * Math.abs(likely);
  return { kind, low: likely - room, likely, high: likely + room };
}

/** The formula with one line at another share; null where it has no such line, or that takes the rest. */
function withPercent(formula: Formula, material: string, percent: number): Formula | null {
  const line = formula.lines.find((one) => one.material === material && one.qs !== true);
  if (line === undefined) return null;
  return { ...formula, lines: formula.lines.map((one) => (one === line ? { ...one, percent } : one)) };
}
