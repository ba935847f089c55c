import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { Link, useNavigate } from "react-router";
import { Frame } from "../../frame/Frame";
import { WashLine } from "../../frame/washLine/WashLine";
import { Streams } from "../../pictures/Streams/Streams";
import type { BenchForm } from "../batch/benchForm";
import type { SentBatch } from "../batch/sentBatch";
import { benchPegs } from "../benchPegs";
import { useScale } from "../instruments/useScale";
import { keepBenchForLater } from "../offline/register";
import { useBatch } from "../queue/useBatch";
import { AsWeighed } from "./AsWeighed";
import { Asides } from "./Asides";
import { BenchProvider, type Bench } from "./bench";
import { Clocks } from "./Clocks";
import { Finish } from "./Finish";
import { NextSteps } from "./NextSteps";
import { Paused } from "./Paused";
import { QueueNote } from "./QueueNote";
import { ScaleBar } from "./ScaleBar";
import classes from "./Step.module.css";
import { StepView } from "./StepView";
import { useArrows } from "./useArrows";
import { useWakeLock } from "./useWakeLock";

interface BatchPageProps {
  readonly sent: SentBatch;
  readonly newId: string;
  /** What the server said to a form sent without scripts. */
  readonly refused: { readonly problem: string; readonly form: BenchForm } | null;
}

const GUARD_MILLISECONDS = 400;

/** A batch at the bench: the streams, the step that is due, and what can be entered. It works on without the server. */
export function BatchPage({ sent, newId, refused }: BatchPageProps) {
  const { enter: enterHere, ...here } = useBatch(sent);
  const scale = useScale();
  const [answered, setAnswered] = useState(refused);
  const [isGuarded, setGuarded] = useState(false);
  const navigate = useNavigate();
  const column = useRef<HTMLDivElement>(null);
  useArrows(column);
  useWakeLock();
  useEffect(() => keepBenchForLater(), []);
  useEffect(() => {
    if (!isGuarded) return;
    const timer = setTimeout(() => setGuarded(false), GUARD_MILLISECONDS);
    return () => clearTimeout(timer);
  }, [isGuarded]);
  const enter = useCallback(
    (form: BenchForm): boolean => {
      const problem = enterHere(form);
      setAnswered(problem === null ? null : { problem, form });
      if (problem === null) setGuarded(true);
      return problem === null;
    },
    [enterHere],
  );
  const bench: Bench = { ...here, scale, newId, answered, isGuarded, enter };
  const { view, next } = here;
  const { steps, finished } = view;
  const current = finished === null ? next.step : null;
  const at = steps.findIndex(({ step }) => step.id === current?.id);
  // Closed and stored: what is left is to look at it. Without the server the page stays, the record would not know yet.
  const [wasFinished] = useState(finished !== null);
  const isStored = finished !== null && here.queue.waiting.length === 0;
  useEffect(() => {
    if (isStored && !wasFinished) void navigate(`/bench/${sent.id}/record`);
  }, [isStored, wasFinished, navigate, sent.id]);
  const streams = useMemo(
    () => steps.map(({ step, state }) => ({ ...step, state, content: view.contents.get(step.id) ?? null })),
    [steps, view.contents],
  );
  return (
    <BenchProvider value={bench}>
      <Frame
        head={
          <>
            <h1 className={classes.head}>{view.name}</h1>
            <span className={classes.sub}>
              batch <strong>{view.code}</strong>
            </span>
          </>
        }
        doors={<Link to={`/bench/${sent.id}/record`}>Record</Link>}
        line={<WashLine pegs={benchPegs(current === null ? "all steps through" : `step ${at + 1} of ${steps.length}`)} />}
      >
        <title>{`${view.code}, ${view.name}`}</title>
        <div className={classes.page}>
          <div className={classes.streams}>
            <Streams vessels={view.vessels} currentId={current?.id ?? null} steps={streams} />
          </div>
          <div ref={column} className={classes.column} data-waiting={here.queue.waiting.length}>
            <QueueNote />
            {answered !== null && (
              <p role="alert" className={classes.problem}>
                {answered.problem}
              </p>
            )}
            {view.pausedAt !== null && finished === null ? (
              <Paused since={view.pausedAt} />
            ) : current === null ? (
              <Finish />
            ) : (
              <StepView step={current} number={at + 1} waitsFor={next.waitsFor} />
            )}
            <div className={classes.foot}>
              <Clocks />
              <NextSteps after={at} />
            </div>
            {finished === null && <Asides step={current} />}
            <AsWeighed />
            <ScaleBar />
          </div>
        </div>
      </Frame>
    </BenchProvider>
  );
}
