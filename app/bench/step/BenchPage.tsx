import { useMemo, useRef, type ReactNode } from "react";
import { PageHeader } from "../../components/PageHeader";
import { Frame } from "../../frame/Frame";
import { StationNav } from "../../frame/stationNav/StationNav";
import { Streams } from "../../pictures/Streams/Streams";
import type { FormAnswer } from "../../frame/formAnswer";
import type { BenchForm } from "../batch/benchForm";
import { benchStations } from "../benchStation";
import type { BatchHere } from "../queue/useBatchHere";
import { AsWeighed } from "./AsWeighed";
import { SidePanels } from "./SidePanels";
import { BenchProvider } from "./bench";
import { ClockActs } from "./ClockActs";
import { Clocks, clocksOf } from "./Clocks";
import { InstrumentsPanel } from "./instruments/InstrumentsPanel";
import { NextSteps } from "./NextSteps";
import { Paused } from "./Paused";
import { QueueNote } from "./QueueNote";
import classes from "./Step.module.css";
import { StepView } from "./StepView";
import { useArrows } from "./useArrows";
import { useBenchHere } from "./useBenchHere";
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

/** A bench: the streams, the step that is due, and what can be entered. */
export function BenchPage({ here: batch, newId, refused, seed, isPractice = false, title, under, doors, above, end }: BenchPageProps) {
  const column = useRef<HTMLDivElement>(null);
  const bench = useBenchHere(batch, { newId, refused, seed, isPractice, column });
  const { view, next, queue, answered } = bench;
  useArrows(column);
  useWakeLock();
  const chimes = useChimes(batch);
  const clocks = clocksOf(batch);
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
          <div ref={column} className={classes.column} data-own-focus data-waiting={queue.waiting.length}>
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
