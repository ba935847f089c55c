import type { BatchPlan } from "./batchPlan.ts";

/** A named part the base is divided into. */
export interface PartOfBatch {
  /** The step that draws it. */
  readonly step: string;
  readonly name: string;
  /** Of the base, %. */
  readonly sharePercent: number;
  readonly lines: readonly string[];
}

/** The parts of a batch in order; none for a formula that is not divided. */
export function partsOf({ formula, steps }: Pick<BatchPlan, "formula" | "steps">): readonly PartOfBatch[] {
  const drawing = new Map(steps.flatMap(({ id, measures, vessel }) => (measures === "part" ? [[vessel, id] as const] : [])));
  return (formula.splits ?? []).flatMap(({ name, sharePercent, lines }, at) => {
    const step = drawing.get(`part-${at + 1}`);
    return step === undefined ? [] : [{ step, name, sharePercent, lines: lines.map(({ id }) => id) }];
  });
}

/**
 * What of the base is to be drawn for a part, g: its share of the batch as planned less its own lines, in proportion to the
 * base there is. Of 1,000 g with two halves, one with 5 g of scent of its own, 495 g are drawn for that one and 500 for
 * the other; of a base that came to 985.05 g instead of 995, 490.05 and 495.
 * @param grams what each line weighs, or is to weigh
 */
export function drawnTargetGrams(
  { formula, targets }: Pick<BatchPlan, "formula" | "targets">,
  { sharePercent, lines }: Pick<PartOfBatch, "sharePercent" | "lines">,
  grams: ReadonlyMap<string, number>,
): number {
  const base = (of: ReadonlyMap<string, number>): number => formula.lines.reduce((sum, { id }) => sum + (of.get(id) ?? 0), 0);
  const planned = base(targets);
  if (planned <= 0) return 0;
  const whole = [...targets.values()].reduce((sum, each) => sum + each, 0);
  const own = lines.reduce((sum, id) => sum + (targets.get(id) ?? 0), 0);
  // Of a base that was made elsewhere nothing was weighed: it is drawn as planned.
  const now = base(grams) > 0 ? base(grams) : planned;
  return (now * ((whole * sharePercent) / 100 - own)) / planned;
}
