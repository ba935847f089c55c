import type { BatchEntry, ReadOff } from "./entries.ts";
import type { FillCheck, FillDensity, PlannedContainer } from "./fillPlan.ts";
import type { BatchPlan } from "./batchPlan.ts";
import type { BatchState } from "./batchState.ts";
import { contentsOf } from "./contents.ts";
import { massAccount } from "./massAccount.ts";
import { partsOf } from "./parts.ts";

/** One container that was filled. */
export interface FilledContainer {
  /** Of its entry. */
  readonly entry: string;
  readonly number: number;
  /** Net, g. */
  readonly grams: number;
  readonly readOff: ReadOff | null;
}

export interface FillingRow extends PlannedContainer {
  readonly filled: readonly FilledContainer[];
  /** How its trial went; null while none was tried. */
  readonly tried: { readonly works: boolean; readonly text: string } | null;
}

/** What of the batch is filled by itself: a named part, or what of the base is left. */
export interface FillingPart {
  /** Null for the whole batch, or for the rest of the base. */
  readonly part: string | null;
  /** What there is of it to fill, g. */
  readonly toFillGrams: number;
  readonly filledGrams: number;
}

/** A filling run where it stands. */
export interface Filling {
  readonly density: FillDensity | null;
  readonly rows: readonly FillingRow[];
  /** The named parts, then what of the base is left; the batch alone where it is not divided. */
  readonly parts: readonly FillingPart[];
  /** What there is to fill, g: the yield, or while it is not weighed what went in less the samples. */
  readonly toFillGrams: number;
  readonly isYieldKnown: boolean;
  readonly filledGrams: number;
  readonly lostGrams: number;
  /** Neither filled nor said to be lost, g; negative where more was filled than there was. */
  readonly leftGrams: number;
  /** The next container of the plan; null when all are filled, or where nothing is planned. */
  readonly next: { readonly row: FillingRow; readonly number: number } | null;
  readonly checks: ReadonlySet<FillCheck>;
}

/** Less than this of the base is no rest to fill, g. */
const NO_REST_GRAMS = 0.5;

/**
 * Where a filling run stands after its entries. 580.8 g of yield, five bottles of 103.1 g and two jars of 30.9 g filled leave
 * 3.5 g in the beaker.
 */
export function fillingOf(plan: BatchPlan, state: BatchState): Filling {
  const { standing } = state;
  const planned = standing.findLast((entry) => entry.kind === "fill-planned");
  const filled = standing.filter((entry) => entry.kind === "container-filled");
  const rows = rowsOf(standing, planned?.kind === "fill-planned" ? planned.filling : []);
  const account = massAccount(plan, state);
  const drawnGrams = partsInBeakers(plan, state).reduce((sum, { grams }) => sum + grams, 0);
  // Of a base that was made elsewhere only the parts are known.
  const toFillGrams = account.yieldGrams ?? Math.max(drawnGrams, account.inGrams - account.samplesGrams);
  const filledGrams = filled.reduce((sum, { grams }) => sum + grams, 0);
  const lostGrams = standing.reduce((sum, entry) => sum + (entry.kind === "fill-lost" ? entry.grams : 0), 0);
  const due = rows.find((row) => row.filled.length < row.count && row.tried?.works !== false);
  return {
    density: planned?.kind === "fill-planned" ? planned.density : null,
    rows,
    parts: fillingParts(plan, state, { rows, toFillGrams }),
    toFillGrams,
    isYieldKnown: account.yieldGrams !== null,
    filledGrams,
    lostGrams,
    leftGrams: toFillGrams - filledGrams - lostGrams,
    next: due === undefined ? null : { row: due, number: nextNumber(due) },
    checks: new Set(standing.flatMap((entry) => (entry.kind === "fill-checked" ? [entry.check] : []))),
  };
}

/** What is in the beaker of each named part, g. */
function partsInBeakers(plan: BatchPlan, state: BatchState): readonly { readonly name: string; readonly grams: number }[] {
  const parts = partsOf(plan);
  if (parts.length === 0) return [];
  const contents = contentsOf(plan, state);
  return parts.map(({ name, step }) => {
    const vessel = plan.steps.find(({ id }) => id === step)?.vessel;
    const last = plan.steps.findLast((one) => one.vessel === vessel);
    return { name, grams: contents.get(last?.id ?? step) ?? 0 };
  });
}

/** Each part with what is in its beaker: 290 g drawn and 0.6 g of dye are 290.6 g; what the parts leave of the batch is the base. */
function fillingParts(
  plan: BatchPlan,
  state: BatchState,
  { rows, toFillGrams }: Pick<Filling, "rows" | "toFillGrams">,
): readonly FillingPart[] {
  const filledOf = (part: string | null): number =>
    rows.reduce((sum, row) => ((row.part ?? null) === part ? row.filled.reduce((grams, one) => grams + one.grams, sum) : sum), 0);
  const parts = partsInBeakers(plan, state).map(({ name, grams }): FillingPart => {
    return { part: name, toFillGrams: grams, filledGrams: filledOf(name) };
  });
  const restGrams = toFillGrams - parts.reduce((sum, one) => sum + one.toFillGrams, 0);
  const filledGrams = filledOf(null);
  if (parts.length > 0 && restGrams < NO_REST_GRAMS && filledGrams === 0) return parts;
  return [...parts, { part: null, toFillGrams: Math.max(0, restGrams), filledGrams }];
}

/** Rows of the newest plan, and those of earlier ones that were filled already: they stay in the sums. */
function rowsOf(standing: readonly BatchEntry[], planned: readonly PlannedContainer[]): readonly FillingRow[] {
  const ids = new Set(planned.map(({ id }) => id));
  const before = standing
    .flatMap((entry) => (entry.kind === "fill-planned" ? entry.filling : []))
    .filter((row, at, all) => !ids.has(row.id) && all.findLastIndex(({ id }) => id === row.id) === at);
  const all = [...planned, ...before.map((row) => ({ ...row, count: 0 }))];
  // A kind that was tried for one part, or as a tester, is tried for all.
  const rows = all.map((row): FillingRow => {
    const ofKind = new Set(
      all.filter(({ id, container }) => id === row.id || (container !== null && container === row.container)).map(({ id }) => id),
    );
    const tried = standing.findLast((entry) => entry.kind === "container-tried" && ofKind.has(entry.row));
    return {
      ...row,
      tried: tried?.kind === "container-tried" ? { works: tried.works, text: tried.text } : null,
      filled: standing.flatMap((entry) =>
        entry.kind === "container-filled" && entry.row === row.id
          ? [{ entry: entry.id, number: entry.number, grams: entry.grams, readOff: entry.readOff ?? null }]
          : [],
      ),
    };
  });
  return rows.filter(({ id, filled }) => ids.has(id) || filled.length > 0);
}

/** The lowest number that is free: one that was taken back is filled anew. */
function nextNumber({ filled }: FillingRow): number {
  const taken = new Set(filled.map(({ number }) => number));
  let number = 1;
  while (taken.has(number)) number += 1;
  return number;
}
