import { hydrating, isRunning } from "@tensidrum/core/process";
import { writtenClock } from "@tensidrum/core/quantities";
import { useEffect, useState } from "react";
import { Link } from "react-router";
import { Frame } from "../../frame/Frame";
import { WashLine } from "../../frame/washLine/WashLine";
import type { SentBatch } from "../batch/sentBatch";
import { benchPegs } from "../benchPegs";
import { BenchPage } from "../step/BenchPage";
import step from "../step/Step.module.css";
import { keptRehearsal, type KeptRehearsal } from "./keptRehearsal";
import { BoxButton } from "../step/BoxButton";
import classes from "./Rehearsal.module.css";
import { RehearsalResult } from "./RehearsalResult";
import { useRehearsal, type RehearsalHere } from "./useRehearsal";

interface RehearsalPageProps {
  readonly wanted: { readonly formulaId: string; readonly number: number };
  readonly sent: SentBatch;
}

/** A dry run of a version: the same bench with stand-ins, a batch nobody knows, and its truth at the end. */
export function RehearsalPage({ wanted, sent }: RehearsalPageProps) {
  const [kept, setKept] = useState<{ readonly rehearsal: KeptRehearsal; readonly round: number } | null>(null);
  useEffect(() => setKept({ rehearsal: keptRehearsal(sent.id), round: 0 }), [sent.id]);
  if (kept === null) {
    return (
      <Frame head={<h1 className={step.head}>{sent.formula.name}</h1>} line={<WashLine pegs={benchPegs("dry run")} />}>
        <title>{`Dry run, ${sent.formula.name}`}</title>
        <p className={step.do}>Setting the dry run up. It runs in this browser alone and needs its scripts.</p>
      </Frame>
    );
  }
  return (
    <Rehearsal
      key={kept.round}
      wanted={wanted}
      sent={sent}
      kept={kept.rehearsal}
      onAgain={(rehearsal) => setKept({ rehearsal, round: kept.round + 1 })}
    />
  );
}

interface RehearsalProps extends RehearsalPageProps {
  readonly kept: KeptRehearsal;
  readonly onAgain: (fresh: KeptRehearsal) => void;
}

function Rehearsal({ wanted, sent, kept, onAgain }: RehearsalProps) {
  const rehearsal = useRehearsal(sent, kept, onAgain);
  const { here, isOver } = rehearsal;
  const result = <RehearsalResult id={sent.id} seed={kept.seed} rehearsal={rehearsal} />;
  const back = <Link to={`/sheet/${wanted.formulaId}/${wanted.number}`}>Back to the sheet</Link>;
  if (isOver) {
    return (
      <Frame
        head={
          <>
            <h1 className={step.head}>{here.view.name}</h1>
            <span className={step.sub}>v{wanted.number}, dry run</span>
          </>
        }
        doors={back}
        line={<WashLine pegs={benchPegs("dry run")} />}
      >
        <title>{`Dry run, ${here.view.name}`}</title>
        {result}
      </Frame>
    );
  }
  return (
    <BenchPage
      here={here}
      newId=""
      refused={null}
      seed={kept.seed}
      isRehearsal
      title={`Dry run, ${here.view.name}`}
      under={<span className={step.sub}>v{wanted.number}, dry run</span>}
      doors={back}
      above={<Marked rehearsal={rehearsal} />}
      end={<AllThrough rehearsal={rehearsal} />}
    />
  );
}

/** Says that nothing is real, and what only a rehearsal can do: pour at once, and let a clock run out. */
function Marked({ rehearsal: { here, playOn, letPass, end } }: { readonly rehearsal: RehearsalHere }) {
  const { view, plan, next, now } = here;
  const isTuned = next.step?.tunes === "ph" || next.step?.tunes === "thickness";
  const waits = view.waits.filter((one) => isRunning(one, now)).map(({ until }) => until);
  const swelling = hydrating(plan, { standing: view.standing }, now).map(({ judgeFrom }) => judgeFrom);
  const until = [...waits, ...(next.step?.tunes === "ph" ? [] : swelling)].sort()[0];
  const left = until === undefined ? 0 : Date.parse(until) - Date.parse(now);
  return (
    <section className={classes.marked} aria-label="Dry run">
      <p>
        <strong>Dry run.</strong> Nothing is stored, no instrument is real.
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
        <BoxButton data-act="End the dry run" onClick={end}>
          end it and show the truth
        </BoxButton>
      )}
    </section>
  );
}

function AllThrough({ rehearsal }: { readonly rehearsal: RehearsalHere }) {
  const { end } = rehearsal;
  useEffect(end, [end]);
  return <p className={step.do}>All steps are through.</p>;
}
