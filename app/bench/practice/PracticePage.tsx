import { hydrating, isRunning } from "@tensidrum/core/process";
import { writtenClock } from "@tensidrum/core/quantities";
import { useEffect, useState } from "react";
import { Link } from "react-router";
import { PageHeader } from "../../components/PageHeader";
import { Frame } from "../../frame/Frame";
import { StationNav } from "../../frame/stationNav/StationNav";
import type { SentBatch } from "../batch/sentBatch";
import { benchStations } from "../benchStation";
import { BenchPage } from "../step/BenchPage";
import step from "../step/Step.module.css";
import { keptPractice, type KeptPractice } from "./keptPractice";
import type { KeptRun } from "./keptRun";
import { BoxButton } from "../step/BoxButton";
import classes from "./Practice.module.css";
import { PracticeResult } from "./PracticeResult";
import { usePractice, type PracticeHere } from "./usePractice";

interface PracticePageProps {
  readonly wanted: { readonly formulaId: string; readonly number: number };
  readonly sent: SentBatch;
  /** How earlier runs of the version came out. */
  readonly runs: readonly KeptRun[];
}

/** A practice run of a version: the same bench with simulated instruments, a batch nobody knows, and its truth at the end. */
export function PracticePage({ wanted, sent, runs: known }: PracticePageProps) {
  const [runs, setRuns] = useState(known);
  const [kept, setKept] = useState<{ readonly practice: KeptPractice; readonly round: number } | null>(null);
  useEffect(() => {
    let isGone = false;
    void keptPractice(sent.id).then((practice) => {
      if (!isGone) setKept({ practice, round: 0 });
    });
    return () => {
      isGone = true;
    };
  }, [sent.id]);
  if (kept === null) {
    return (
      <Frame head={<PageHeader>{sent.formula.name}</PageHeader>} line={<StationNav stations={benchStations("practice run")} />}>
        <title>{`Practice run, ${sent.formula.name}`}</title>
        <p className={step.do}>Setting up the practice run. It runs in this browser only and needs scripts.</p>
      </Frame>
    );
  }
  return (
    <Practice
      key={kept.round}
      wanted={wanted}
      sent={sent}
      runs={runs}
      onKept={setRuns}
      kept={kept.practice}
      onAgain={(practice) => setKept({ practice, round: kept.round + 1 })}
    />
  );
}

interface PracticeProps extends PracticePageProps {
  readonly kept: KeptPractice;
  readonly onKept: (runs: readonly KeptRun[]) => void;
  readonly onAgain: (fresh: KeptPractice) => void;
}

function Practice({ wanted, sent, runs, onKept, kept, onAgain }: PracticeProps) {
  const practice = usePractice(sent, kept, onAgain);
  const { here, isOver } = practice;
  const back = <Link to={`/sheet/${wanted.formulaId}/${wanted.number}`}>Back to the sheet</Link>;
  if (isOver) {
    return (
      <Frame
        head={<PageHeader beside={<>v{wanted.number}, practice run</>}>{here.view.name}</PageHeader>}
        doors={back}
        line={<StationNav stations={benchStations("practice run")} />}
      >
        <title>{`Practice run, ${here.view.name}`}</title>
        <PracticeResult wanted={wanted} kept={kept} practice={practice} runs={runs} onKept={onKept} />
      </Frame>
    );
  }
  return (
    <BenchPage
      here={here}
      newId=""
      refused={null}
      seed={kept.seed}
      isPractice
      title={`Practice run, ${here.view.name}`}
      under={<span className={step.sub}>v{wanted.number}, practice run</span>}
      doors={back}
      above={<Marked practice={practice} last={runs[0]} />}
      end={<AllThrough practice={practice} />}
    />
  );
}

interface MarkedProps {
  readonly practice: PracticeHere;
  readonly last: KeptRun | undefined;
}

/** Says that nothing is real, and what only a practice run can do: pour at once, and let a clock run out. */
function Marked({ practice: { here, playOn, letPass, end }, last }: MarkedProps) {
  const { view, plan, next, now } = here;
  const isTuned = next.step?.tunes === "ph" || next.step?.tunes === "thickness";
  const waits = view.waits.filter((one) => isRunning(one, now)).map(({ until }) => until);
  const swelling = hydrating(plan, { standing: view.standing }, now).map(({ judgeFrom }) => judgeFrom);
  const until = [...waits, ...(next.step?.tunes === "ph" ? [] : swelling)].sort()[0];
  const left = until === undefined ? 0 : Date.parse(until) - Date.parse(now);
  return (
    <section className={classes.marked} aria-label="Practice run">
      <p>
        <strong>Practice run.</strong> No stock is used, no instrument is real.{last !== undefined && ` Last time ${last.points} of 100.`}
      </p>
      {next.step !== null && !isTuned && (
        <BoxButton data-act="Pour everything up to the next tuning" onClick={playOn}>
          pour it all for me
        </BoxButton>
      )}
      {until !== undefined && (
        <BoxButton data-act="Let the clock run out" onClick={() => letPass(left)}>
          let {writtenClock(left)} pass
        </BoxButton>
      )}
      {view.standing.some(({ kind }) => kind === "ph-read" || kind === "thickness-read") && (
        <BoxButton data-act="End the practice run" onClick={end}>
          end it and show the truth
        </BoxButton>
      )}
    </section>
  );
}

function AllThrough({ practice }: { readonly practice: PracticeHere }) {
  const { end } = practice;
  useEffect(end, [end]);
  return <p className={step.do}>All steps are through.</p>;
}
