import { useCallback, useEffect, useMemo, useRef, useState, type ReactNode } from "react";
import { PageHeader } from "../../components/PageHeader";
import { Frame } from "../../frame/Frame";
import { StationNav } from "../../frame/stationNav/StationNav";
import { Streams } from "../../pictures/Streams/Streams";
import { formAnswer, wholeProblem, type FormAnswer } from "../../frame/formAnswer";
import type { BenchForm } from "../batch/benchForm";
import { benchStations } from "../benchStation";
import { useSimulatedBatch, useInstruments } from "../instruments/useInstruments";
import type { BatchHere } from "../queue/useBatchHere";
import { AsWeighed } from "./AsWeighed";
import { SidePanels } from "./SidePanels";
import { BenchProvider, type Bench } from "./bench";
import { ClockActs } from "./ClockActs";
import { Clocks, clocksOf } from "./Clocks";
import { InstrumentsPanel } from "./instruments/InstrumentsPanel";
import { NextSteps } from "./NextSteps";
import { Paused } from "./Paused";
import { QueueNote } from "./QueueNote";
import classes from "./Step.module.css";
import { StepView } from "./StepView";
import { useArrows } from "./useArrows";
import { useChimes } from "./useChimes";
import { useWakeLock } from "./useWakeLock";
import { FormError } from "../../components/FormError";

interface BenchPageProps {
  readonly here: BatchHere;
  readonly newId: string;
  readonly refused: FormAnswer<BenchForm> | null;
  /** Of the hidden batch behind the simulated instruments. */
  readonly seed: string;
  readonly isPractice?: boolean;
  readonly title: string;
  readonly under: ReactNode;
  readonly doors: ReactNode;
  /** Stands above the step. */
  readonly above?: ReactNode;
  /** What is shown when every step is through. */
  readonly end: ReactNode;
}

const GUARD_MILLISECONDS = 400;

/** A bench: the streams, the step that is due, and what can be entered. */
export function BenchPage({ here: batch, newId, refused, seed, isPractice = false, title, under, doors, above, end }: BenchPageProps) {
  const { enter: enterHere, ...here } = batch;
  const { view, next, plan, clock } = here;
  const hidden = useSimulatedBatch(plan, seed, here.saltSamples);
  const instruments = useInstruments({ plan, standing: view.standing, hidden, clock, isAllSimulated: isPractice });
  const [answered, setAnswered] = useState(refused);
  const [isGuarded, setGuarded] = useState(false);
  const column = useRef<HTMLDivElement>(null);
  useArrows(column);
  useWakeLock();
  const chimes = useChimes(here);
  const clocks = clocksOf(here);
  useEffect(() => {
    if (!isGuarded) return;
    const timer = setTimeout(() => {
      setGuarded(false);
      keepFocus(column.current);
    }, GUARD_MILLISECONDS);
    return () => clearTimeout(timer);
  }, [isGuarded]);
  const enter = useCallback(
    (form: BenchForm): boolean => {
      const problem = enterHere(form);
      setAnswered(problem === null ? null : formAnswer(form, wholeProblem(problem)));
      if (problem === null) setGuarded(true);
      return problem === null;
    },
    [enterHere],
  );
  const bench: Bench = { ...here, instruments, isPractice, newId, answered, isGuarded, enter };
  const { steps, finished } = view;
  const current = finished === null ? next.step : null;
  const at = steps.findIndex(({ step }) => step.id === current?.id);
  const nextOpen = steps.find(({ state }, k) => k > at && state === "open");
  const streams = useMemo(
    () => steps.map(({ step, state }) => ({ ...step, state, content: view.contents.get(step.id) ?? null })),
    [steps, view.contents],
  );
  return (
    <BenchProvider value={bench}>
      <Frame
        head={
          <>
            <PageHeader>{view.name}</PageHeader>
            {under}
          </>
        }
        doors={doors}
        line={<StationNav stations={benchStations(current === null ? "all steps through" : `step ${at + 1} of ${steps.length}`)} />}
      >
        <title>{title}</title>
        <div className={classes.page}>
          <div className={classes.streams}>
            <Streams vessels={view.vessels} currentId={current?.id ?? null} steps={streams} />
          </div>
          <div ref={column} className={classes.column} data-waiting={here.queue.waiting.length}>
            <QueueNote />
            {above}
            <FormError>{answered?.sentence}</FormError>
            {view.pausedAt !== null && finished === null ? (
              <Paused since={view.pausedAt} />
            ) : current === null ? (
              end
            ) : (
              <StepView step={current} number={at + 1} waitsFor={next.waitsFor} />
            )}
            <div className={classes.foot}>
              <NextSteps after={at} />
              {clocks.length > 0 && <ClockActs chimes={chimes} />}
            </div>
            {finished === null && <SidePanels step={current} />}
            <AsWeighed />
            <InstrumentsPanel />
            <div className={`${classes.dock} not-printed`}>
              <Clocks clocks={clocks} />
              {clocks.length === 0 && nextOpen !== undefined && (
                <p className={classes.then}>
                  then <strong>{nextOpen.step.title}</strong>
                </p>
              )}
            </div>
          </div>
        </div>
      </Frame>
    </BenchProvider>
  );
}

/** The button that was pressed is gone or was deaf: Tab goes on from the step, and who listens hears which one it is. */
function keepFocus(column: HTMLElement | null): void {
  if (document.activeElement !== null && document.activeElement !== document.body) return;
  column?.querySelector<HTMLElement>("#step-head")?.focus({ preventScroll: true });
}
