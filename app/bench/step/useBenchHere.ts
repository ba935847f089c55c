import { useCallback, useEffect, useState, type RefObject } from "react";
import { formAnswer, wholeProblem, type FormAnswer } from "../../frame/formAnswer";
import type { BenchForm } from "../batch/benchForm";
import { useInstruments, useSimulatedBatch } from "../instruments/useInstruments";
import type { BatchHere } from "../queue/useBatchHere";
import type { Bench } from "./bench";

interface AroundBench {
  readonly newId: string;
  readonly refused: FormAnswer<BenchForm> | null;
  /** Of the hidden batch behind the simulated instruments. */
  readonly seed: string;
  readonly isPractice: boolean;
  /** Where the work is entered: the caret stays in it. */
  readonly column: RefObject<HTMLElement | null>;
}

const GUARD_MILLISECONDS = 400;

/** What every part of a page at the bench needs: the batch, its instruments, and what was answered to the last entry. */
export function useBenchHere({ enter: enterHere, ...here }: BatchHere, { newId, refused, seed, isPractice, column }: AroundBench): Bench {
  const { view, plan, clock } = here;
  const hidden = useSimulatedBatch(plan, seed, here.saltSamples);
  const instruments = useInstruments({ plan, standing: view.standing, hidden, clock, isAllSimulated: isPractice });
  const [answered, setAnswered] = useState(refused);
  const [isGuarded, setGuarded] = useState(false);
  useEffect(() => {
    if (!isGuarded) return;
    const timer = setTimeout(() => {
      setGuarded(false);
      keepFocus(column.current);
    }, GUARD_MILLISECONDS);
    return () => clearTimeout(timer);
  }, [isGuarded, column]);
  const enter = useCallback(
    (form: BenchForm): boolean => {
      const problem = enterHere(form);
      setAnswered(problem === null ? null : formAnswer(form, wholeProblem(problem)));
      if (problem === null) setGuarded(true);
      return problem === null;
    },
    [enterHere],
  );
  return { ...here, instruments, isPractice, newId, answered, isGuarded, enter };
}

/** The button that was pressed is gone or did not answer: Tab goes on from the step, and who listens hears which one it is. */
function keepFocus(column: HTMLElement | null): void {
  if (document.activeElement !== null && document.activeElement !== document.body) return;
  column?.querySelector<HTMLElement>("#step-head")?.focus({ preventScroll: true });
}
