import type { Step } from "../step.ts";
import { batchLines } from "./batchLines.ts";
import type { BatchLine, BatchPlan } from "./batchPlan.ts";
import type { BatchEntry } from "./entries.ts";
import { waitsOf, type Wait } from "./waits.ts";

export interface BatchStep {
  readonly step: Step;
  readonly state: "open" | "done" | "skipped";
  /** Why it was skipped. */
  readonly reason: string | null;
  readonly at: string | null;
}

export interface BatchState {
  readonly steps: readonly BatchStep[];
  readonly lines: ReadonlyMap<string, BatchLine>;
  /** What steps measured beside their lines, by step, g. */
  readonly measured: ReadonlyMap<string, number>;
  /** Tare weights of the beakers, g. */
  readonly tares: ReadonlyMap<string, number>;
  readonly waits: readonly Wait[];
  /** Since when the work stands still; null while it goes on. */
  readonly pausedAt: string | null;
  /** Entries that stand, in order; those taken back are left out. */
  readonly standing: readonly BatchEntry[];
  /** Closed with its yield, or discarded before anything was weighed. */
  readonly finished: { readonly yieldGrams: number; readonly at: string; readonly isDiscarded: boolean } | null;
}

/**
 * Where a batch stands after its entries: the same entries always give the same state, entries that came twice count
 * once, and one that was taken back counts as if it had never been.
 */
export function batchState(plan: BatchPlan, entries: readonly BatchEntry[]): BatchState {
  const standing = standingEntries(entries);
  const through = new Map(
    standing.flatMap((entry) => (entry.kind === "done" || entry.kind === "skipped" ? [[entry.step, entry] as const] : [])),
  );
  const last = standing.findLast(({ kind }) => kind === "paused" || kind === "resumed");
  const end = standing.findLast((entry) => entry.kind === "finished" || entry.kind === "discarded");
  let lines: BatchState["lines"] | undefined;
  let waits: BatchState["waits"] | undefined;
  return {
    // These two cost the most, and who only asks whether a step is through needs neither.
    get lines() {
      return (lines ??= batchLines(plan, standing));
    },
    get waits() {
      return (waits ??= waitsOf(plan.steps, standing));
    },
    steps: plan.steps.map((step): BatchStep => {
      const entry = through.get(step.id);
      if (entry === undefined) return { step, state: "open", reason: null, at: null };
      return entry.kind === "skipped"
        ? { step, state: "skipped", reason: entry.reason, at: entry.at }
        : { step, state: "done", reason: null, at: entry.at };
    }),
    measured: new Map(standing.flatMap((entry) => (entry.kind === "measured" ? [[entry.step, entry.grams] as const] : []))),
    tares: new Map(standing.flatMap((entry) => (entry.kind === "tared" ? [[entry.vessel, entry.grams] as const] : []))),
    pausedAt: last?.kind === "paused" ? last.at : null,
    standing,
    finished:
      end === undefined
        ? null
        : { yieldGrams: end.kind === "finished" ? end.yieldGrams : 0, at: end.at, isDiscarded: end.kind === "discarded" },
  };
}

/** Entries without those that came twice or were taken back. A taking back can itself be taken back. */
export function standingEntries(entries: readonly BatchEntry[]): readonly BatchEntry[] {
  const once = [...new Map(entries.map((entry) => [entry.id, entry])).values()];
  const gone = new Set<string>();
  for (const entry of once.toReversed()) if (entry.kind === "taken-back" && !gone.has(entry.id)) gone.add(entry.entry);
  return once.filter(({ id, kind }) => kind !== "taken-back" && !gone.has(id));
}
