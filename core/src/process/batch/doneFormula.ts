import { joinedPortions } from "../../formula/portions.ts";
import type { Formula, FormulaLine } from "../../formula/types.ts";
import { besideId } from "../deviations.ts";
import { batchAsMade } from "./asMade.ts";
import { batchState } from "./batchState.ts";
import type { BatchPlan } from "./batchPlan.ts";
import { batchResult } from "./batchResult.ts";
import { besidesOf, gramsBeside } from "./besides.ts";
import type { BatchEntry } from "./entries.ts";

/** Shares of the next formula are told to so many decimals: a hundredth of a gram in a kilogram. */
const PER_PERCENT = 1000;

const rounded = (percent: number): number => Math.round(percent * PER_PERCENT) / PER_PERCENT;

/**
 * The formula of a batch as it was really made, to go into the next version: lines at what they weighed, what came in beside
 * them as lines of their own or added to the line of the same material, the measured pH with it. What filled up to 100 %
 * still does, and takes in the water of what was dosed; without such a line the shares are as weighed.
 */
export function doneFormula(plan: BatchPlan, entries: readonly BatchEntry[]): Formula {
  const state = batchState(plan, entries);
  const made = batchAsMade(plan, state);
  const beside = gramsBeside(besidesOf(plan, state.standing));
  const planned = new Map(plan.formula.lines.map((line) => [line.id, line]));
  const filling = plan.formula.lines.find(({ qs }) => qs === true);
  const isWater = (slug: string): boolean => plan.materials.get(slug)?.role === "water";
  const fillsWithWater = filling !== undefined && isWater(filling.material);
  const shareBeside = (slug: string): number => (100 * (beside.get(slug) ?? 0)) / made.batchGrams;
  const taken = new Set<string>();
  const lines = made.lines.flatMap((line): readonly FormulaLine[] => {
    const before = planned.get(line.id);
    if (before === undefined) return [];
    if (before.qs === true) return [before];
    const extra = taken.has(line.material) ? 0 : shareBeside(line.material);
    taken.add(line.material);
    const percent = rounded((line.percent ?? 0) + extra);
    return percent > 0 ? [{ ...line, percent }] : [];
  });
  const added = made.lines.filter(
    ({ id, material }) => id === besideId(material) && !taken.has(material) && !(fillsWithWater && isWater(material)),
  );
  const { ph } = batchResult(plan, entries);
  const measured = { ...plan.formula.measured, ...(ph === null ? {} : { ph }) };
  const { splits, ...whole } = made;
  const parts = splits?.map((split) => ({
    ...split,
    lines: split.lines.map((line) => ({ ...line, percent: rounded(line.percent) })).filter(({ percent }) => percent > 0),
  }));
  // Parts of a line were weighed by themselves; the next version has the line in one piece, and the process parts it again.
  const inOnePiece = joinedPortions({ lines, ...(plan.formula.process === undefined ? {} : { process: plan.formula.process }) });
  return {
    ...whole,
    batchGrams: plan.formula.batchGrams,
    lines: [...inOnePiece, ...added.map((line) => ({ ...line, percent: rounded(line.percent ?? 0) }))],
    ...(parts === undefined ? {} : { splits: parts }),
    ...(Object.keys(measured).length === 0 ? {} : { measured }),
  };
}
