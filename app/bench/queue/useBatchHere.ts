import { nextStep, storedPlan, whyNot, type BatchEntry, type BatchPlan } from "@tensidrum/core/process";
import { useCallback, useEffect, useMemo, useState } from "react";
import { batchView, type BatchView } from "../batch/batchView";
import { type BenchForm } from "../batch/benchForm";
import { entriesOf } from "../batch/entriesOf";
import type { SentBatch } from "../batch/sentBatch";
import { solutionsOf } from "../batch/solutionsOf";
import type { QueueState } from "./entryQueue";

const TICK_MILLISECONDS = 500;

/** A batch on this device. */
export interface BatchHere extends Pick<SentBatch, "earlier" | "saltSamples" | "funnel" | "containers"> {
  readonly view: BatchView;
  readonly plan: BatchPlan;
  readonly next: ReturnType<typeof nextStep>;
  readonly queue: QueueState;
  /** The time of the batch as this device computes it, ISO. */
  readonly now: string;
  /** The same, asked at this moment. */
  readonly clock: () => string;
  /** Enters what a form says. Answers what is wrong with it, or nothing. */
  enter(form: BenchForm): string | null;
  letGo(id: string): void;
}

interface Kept {
  readonly entries: readonly BatchEntry[];
  readonly queue: QueueState;
  readonly clock: () => string;
  /** Everything entered by now, asked at this moment. */
  readonly held: () => readonly BatchEntry[];
  readonly add: (entries: readonly BatchEntry[]) => void;
  readonly letGo: (id: string) => void;
}

/** A batch from what was sent and what has been entered, wherever that is kept. */
export function useBatchHere(sent: SentBatch, { entries, queue, clock, held, add, letGo }: Kept): BatchHere {
  const { formula, steps, shelf } = sent;
  const plan = useMemo(() => storedPlan({ formula, steps }, shelf), [formula, steps, shelf]);
  const view = useMemo(() => batchView(sent, plan, entries), [sent, plan, entries]);
  const now = useNow(sent.now, clock);
  const next = useMemo(() => nextStep(view, now), [view, now]);
  const enter = useCallback(
    (form: BenchForm): string | null => {
      const made = entriesOf(form, clock(), solutionsOf(plan, sent.funnel));
      if ("problem" in made) return made.problem;
      const all = [...held()];
      for (const entry of made.entries) {
        const why = whyNot(plan, all, entry);
        if (why !== null) return why;
        all.push(entry);
      }
      add(made.entries);
      return null;
    },
    [plan, sent.funnel, clock, held, add],
  );
  const { earlier, saltSamples, funnel, containers } = sent;
  return { view, plan, next, queue, earlier, saltSamples, funnel, containers, now, clock, enter, letGo };
}

/** The time, told anew twice a second; the first one is the page's, so that browser and server draw alike. */
function useNow(first: string, clock: () => string): string {
  const [now, setNow] = useState(first);
  useEffect(() => {
    const tick = () => setNow(clock());
    tick();
    const timer = setInterval(tick, TICK_MILLISECONDS);
    return () => clearInterval(timer);
  }, [clock]);
  return now;
}
