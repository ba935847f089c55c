import type { Formula } from "../../formula/types.ts";
import type { MaterialsBySlug } from "../../library/material.ts";
import { roundToMultiple } from "../../quantities/decimals.ts";
import { finestFirst, scaleFor } from "../../quantities/scales.ts";
import { deviationsOf, type Deviation } from "../deviations.ts";
import type { Step } from "../step.ts";
import type { BatchEntry } from "./entries.ts";

/** A batch as it was planned when it was begun. */
export interface BatchPlan {
  /** Of the size that is made. */
  readonly formula: Formula;
  readonly materials: MaterialsBySlug;
  readonly steps: readonly Step[];
  /** What each line is to weigh, as the scales show it, g. */
  readonly targets: ReadonlyMap<string, number>;
}

export interface BatchStep {
  readonly step: Step;
  readonly state: "open" | "done" | "skipped";
  /** Why it was skipped. */
  readonly reason: string | null;
  readonly at: string | null;
}

export interface BatchLine {
  readonly line: string;
  /** After corrections, g. */
  readonly targetGrams: number;
  /** Null while it has not been weighed. */
  readonly actualGrams: number | null;
  readonly deviation: Deviation | null;
  /** It is off by so much that the maker must say what is to be done. */
  readonly asks: boolean;
}

export interface BatchState {
  readonly steps: readonly BatchStep[];
  /** The first step that is open and whose forerunners are through; null when all are. */
  readonly current: Step | null;
  readonly lines: ReadonlyMap<string, BatchLine>;
  /** Empty weights of the beakers, g. */
  readonly tares: ReadonlyMap<string, number>;
  readonly notes: readonly { readonly step: string | null; readonly text: string; readonly at: string }[];
  /** Entries that stand, in order; those taken back are left out. */
  readonly standing: readonly BatchEntry[];
  readonly finished: { readonly yieldGrams: number; readonly at: string } | null;
}

/**
 * Where a batch stands after its entries: the same entries always give the same state, entries that came twice count
 * once, and one that was taken back counts as if it had never been.
 */
export function batchState(plan: BatchPlan, entries: readonly BatchEntry[]): BatchState {
  const standing = standingEntries(entries);
  const steps = plan.steps.map((step): BatchStep => {
    const last = standing.findLast((entry) => (entry.kind === "done" || entry.kind === "skipped") && entry.step === step.id);
    if (last === undefined) return { step, state: "open", reason: null, at: null };
    return last.kind === "skipped"
      ? { step, state: "skipped", reason: last.reason, at: last.at }
      : { step, state: "done", reason: null, at: last.at };
  });
  const through = new Set(steps.filter(({ state }) => state !== "open").map(({ step }) => step.id));
  const current = steps.find(({ step, state }) => state === "open" && step.after.every((id) => through.has(id)))?.step ?? null;
  const end = standing.findLast((entry) => entry.kind === "finished");
  return {
    steps,
    current,
    lines: linesOf(plan, standing),
    tares: new Map(standing.flatMap((entry) => (entry.kind === "tared" ? [[entry.vessel, entry.grams] as const] : []))),
    notes: standing.flatMap((entry) => (entry.kind === "noted" ? [{ step: entry.step, text: entry.text, at: entry.at }] : [])),
    standing,
    finished: end === undefined ? null : { yieldGrams: end.yieldGrams, at: end.at },
  };
}

/** Entries without those that came twice or were taken back. A taking back can itself be taken back. */
export function standingEntries(entries: readonly BatchEntry[]): readonly BatchEntry[] {
  const once = [...new Map(entries.map((entry) => [entry.id, entry])).values()];
  const gone = new Set<string>();
  for (const entry of once.toReversed()) if (entry.kind === "taken-back" && !gone.has(entry.id)) gone.add(entry.entry);
  return once.filter(({ id, kind }) => kind !== "taken-back" && !gone.has(id));
}

function linesOf(plan: BatchPlan, standing: readonly BatchEntry[]): ReadonlyMap<string, BatchLine> {
  const actual = new Map<string, number>();
  const answered = new Map<string, "accepted" | "corrected">();
  // Lines weighed before a correction keep their own target; those after it follow the line that went wrong.
  const targetAt = new Map<string, number>();
  let factor = 1;
  for (const entry of standing) {
    if (entry.kind === "weighed") {
      actual.set(entry.line, entry.grams);
      answered.delete(entry.line);
      if (!targetAt.has(entry.line)) targetAt.set(entry.line, factor);
    } else if (entry.kind === "accepted" || entry.kind === "corrected") {
      answered.set(entry.line, entry.kind);
      const target = plan.targets.get(entry.line) ?? 0;
      if (entry.kind === "corrected" && target > 0) factor = (actual.get(entry.line) ?? target) / target;
    }
  }
  const percentOf = new Map(plan.formula.lines.map((line) => [line.id, line]));
  return new Map(
    [...plan.targets].map(([line, planned]) => {
      const targetGrams = shownMass(planned * (targetAt.get(line) ?? factor), plan);
      const actualGrams = actual.get(line) ?? null;
      const isKnown = actualGrams !== null && percentOf.has(line);
      const deviation = isKnown ? deviationFrom(plan, line, { targetGrams, actualGrams }) : null;
      return [line, { line, targetGrams, actualGrams, deviation, asks: deviation?.asks === true && !answered.has(line) }];
    }),
  );
}

/** How far a weight is from what it was to be just then: the allowance of its share, on the corrected target. */
function deviationFrom(
  plan: BatchPlan,
  line: string,
  { targetGrams, actualGrams }: { readonly targetGrams: number; readonly actualGrams: number },
): Deviation | null {
  const planned = plan.targets.get(line) ?? 0;
  // The allowance is a part of the line, so a corrected line is judged as the planned one would be.
  const asPlanned = targetGrams > 0 ? (actualGrams * planned) / targetGrams : actualGrams;
  const [judged] = deviationsOf(exactly(plan), new Map([[line, asPlanned]]), plan.materials);
  return judged === undefined ? null : { ...judged, targetGrams, actualGrams };
}

const exact = new WeakMap<BatchPlan, Formula>();

/** The formula with every line at the mass the scales show, so that a weight read off the scale is no deviation. */
function exactly(plan: BatchPlan): Formula {
  let formula = exact.get(plan);
  if (formula === undefined) {
    const { batchGrams } = plan.formula;
    const lines = plan.formula.lines.map(({ id, phase, material }) => ({
      id,
      phase,
      material,
      percent: (100 * (plan.targets.get(id) ?? 0)) / batchGrams,
    }));
    exact.set(plan, (formula = { ...plan.formula, lines }));
  }
  return formula;
}

function shownMass(grams: number, { formula }: BatchPlan): number {
  const scale = scaleFor(grams, finestFirst(formula.scales));
  return scale === undefined ? grams : roundToMultiple(grams, scale.readabilityGrams);
}
