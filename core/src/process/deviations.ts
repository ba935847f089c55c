import { resolveLines } from "../formula/resolveLines.ts";
import type { Formula } from "../formula/types.ts";
import type { MaterialsBySlug } from "../library/material.ts";
import { Refusal } from "../quantities/refusal.ts";

/** What was really weighed, by line. */
export type ActualGrams = ReadonlyMap<string, number>;

export interface Deviation {
  readonly line: string;
  readonly targetGrams: number;
  readonly actualGrams: number;
  /** Of the target, %, positive for too much. */
  readonly percent: number;
  /** Large enough to ask: accept it, correct the others, or start again. */
  readonly asks: boolean;
}

/** Deviation that asks, % of the line; a minor line is allowed more. */
const ASKS_PERCENT = 2;
const ASKS_MINOR_PERCENT = 5;
/** A line below this is a minor one, % w/w of the formula. */
const MINOR_BELOW_PERCENT = 1;
const NOISE_PERCENT = 1e-9;

/** How far a line may be off before it asks, % of the line, by its share of the formula, % w/w. */
export function allowedPercent(linePercent: number): number {
  return linePercent < MINOR_BELOW_PERCENT ? ASKS_MINOR_PERCENT : ASKS_PERCENT;
}

/** Grams of every line as planned. */
function targets(formula: Formula, library: MaterialsBySlug): ReadonlyMap<string, { readonly percent: number; readonly grams: number }> {
  const { sheet } = resolveLines(formula, library);
  return new Map(sheet.lines.map(({ line, percent }) => [line.id, { percent, grams: (formula.batchGrams * percent) / 100 }]));
}

/**
 * How far each weighed line is off: over 2 % of a line, or 5 % of a minor one (below 1 % w/w), asks. 12.3 g for 12 g is
 * 2.5 % too much and asks; 0.62 g for 0.6 g of a 0.1 % line is 3.3 % and does not.
 * @throws Refusal for a line that is not on the sheet or a weight below 0.
 */
export function deviationsOf(formula: Formula, actual: ActualGrams, library: MaterialsBySlug): readonly Deviation[] {
  const planned = targets(formula, library);
  return [...actual].map(([line, actualGrams]) => {
    const target = planned.get(line);
    if (target === undefined) throw new Refusal("not-found", `There is no line ${line} on the sheet.`, "Weigh lines of this formula.");
    if (!(actualGrams >= 0)) throw new Refusal("not-valid", `Line ${line} cannot weigh ${actualGrams} g.`, "Type the weight again.");
    const percent = target.grams > 0 ? (100 * (actualGrams - target.grams)) / target.grams : actualGrams > 0 ? Infinity : 0;
    const asks = Math.abs(percent) > allowedPercent(target.percent) + NOISE_PERCENT;
    return { line, targetGrams: target.grams, actualGrams, percent, asks };
  });
}

/**
 * The formula as it was really made: each line by its actual weight, those not weighed yet as planned, what came in beside
 * them as lines of its own, the batch as heavy as all of it. Reading it gives the sums of the batch.
 * @param beside what came in and is no line, g, by slug of its material
 */
export function formulaAsMade(
  formula: Formula,
  actual: ActualGrams,
  library: MaterialsBySlug,
  beside: ReadonlyMap<string, number> = new Map(),
): Formula {
  const planned = targets(formula, library);
  const gramsOf = (id: string): number => actual.get(id) ?? planned.get(id)?.grams ?? 0;
  const besideGrams = [...beside.values()].reduce((sum, grams) => sum + grams, 0);
  const batchGrams = [...planned.keys()].reduce((sum, id) => sum + gramsOf(id), besideGrams);
  if (!(batchGrams > 0)) throw new Refusal("not-possible", "Nothing has been weighed.", "Weigh at least one line.");
  const share = (id: string): number => (100 * gramsOf(id)) / batchGrams;
  const { splits, ...whole } = formula;
  const asWeighed = formula.lines.map(({ id, phase, material, assayPercent, asWritten }) => ({
    id,
    phase,
    material,
    percent: share(id),
    ...(assayPercent === undefined ? {} : { assayPercent }),
    ...(asWritten === undefined ? {} : { asWritten }),
  }));
  const phase = formula.lines.at(-1)?.phase ?? formula.phases.at(-1)?.id ?? "";
  const added = [...beside].map(([material, grams]) => ({ id: besideId(material), phase, material, percent: (100 * grams) / batchGrams }));
  const lines = [...asWeighed, ...added];
  if (splits === undefined) return { ...whole, batchGrams, lines };
  const parts = splits.map((split) => ({
    ...split,
    lines: split.lines.map((line) => ({ ...line, percent: split.sharePercent > 0 ? (share(line.id) * 100) / split.sharePercent : 0 })),
  }));
  return { ...whole, batchGrams, lines, splits: parts };
}

/** Id of the line that stands for what came in of a material beside the formula's lines. */
export const besideId = (material: string): string => `beside-${material}`;

/**
 * What the lines still to be weighed must be, so that the formula keeps its proportions: all targets × actual ⁄ target of
 * the line that went wrong. 12.6 g for 12 g makes every other line 5 % larger. Lines that are weighed already are told
 * too: they need so much more.
 * @throws Refusal when the line is not on the sheet or was planned as nothing.
 */
export function correctedTargets(
  formula: Formula,
  wrong: { readonly line: string; readonly actualGrams: number },
  library: MaterialsBySlug,
): ReadonlyMap<string, number> {
  const planned = targets(formula, library);
  const target = planned.get(wrong.line);
  if (target === undefined || target.grams === 0) {
    throw new Refusal("not-found", `There is no line ${wrong.line} to correct by.`, "Choose a line of this formula that weighs something.");
  }
  const factor = wrong.actualGrams / target.grams;
  return new Map([...planned].map(([line, { grams }]) => [line, grams * factor]));
}
