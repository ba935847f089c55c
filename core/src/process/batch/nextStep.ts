import type { Step } from "../step.ts";
import type { BatchState } from "./batchState.ts";
import { isRunning, type Wait } from "./waits.ts";

export interface NextStep {
  /** Null when every step is through. */
  readonly step: Step | null;
  /** What it must wait for; empty when it can be begun. */
  readonly waitsFor: readonly Wait[];
}

/**
 * What to do at a moment: the first open step whose forerunners are through and rested. While all of those rest, the one
 * that is due next, with what it waits for.
 * @param now ISO in UTC
 */
export function nextStep({ steps, waits }: Pick<BatchState, "steps" | "waits">, now: string): NextStep {
  const through = new Set(steps.filter(({ state }) => state !== "open").map(({ step }) => step.id));
  const running = new Map(waits.filter((wait) => isRunning(wait, now)).map((wait) => [wait.step, wait]));
  const ready = steps
    .filter(({ step, state }) => state === "open" && step.after.every((id) => through.has(id)))
    .map(({ step }) => ({ step, waitsFor: step.after.map((id) => running.get(id)).filter((wait) => wait !== undefined) }));
  const end = (waitsFor: readonly Wait[]): string => waitsFor.reduce((latest, { until }) => (until > latest ? until : latest), "");
  const soonest = ready.toSorted((a, b) => (end(a.waitsFor) < end(b.waitsFor) ? -1 : end(a.waitsFor) > end(b.waitsFor) ? 1 : 0));
  return soonest[0] ?? { step: null, waitsFor: [] };
}
