import { useEffect, useState } from "react";
import { Link, useNavigate } from "react-router";
import type { FormAnswer } from "../../frame/formAnswer";
import type { BenchForm } from "../batch/benchForm";
import type { OverdrawnLot } from "../lots/lots.server";
import type { SentBatch } from "../batch/sentBatch";
import { keepBatchForLater } from "../queue/keepBatchForLater";
import { useBatch } from "../queue/useBatch";
import { Overdrawn } from "./Overdrawn";
import { BenchPage } from "./BenchPage";
import { Finish } from "./Finish";
import classes from "./Step.module.css";

interface BatchPageProps {
  readonly sent: SentBatch;
  /** Lots that gave more than the ledger held when the page was sent. */
  readonly short: readonly OverdrawnLot[];
  readonly newId: string;
  /** What the server said to a form sent without scripts. */
  readonly refused: FormAnswer<BenchForm> | null;
}

/** A batch at the bench. It works on without the server. */
export function BatchPage({ sent, short, newId, refused }: BatchPageProps) {
  const [overdrawn, setOverdrawn] = useState(short);
  const here = useBatch(sent, setOverdrawn);
  const { view, queue } = here;
  const navigate = useNavigate();
  useEffect(() => keepBatchForLater(), []);
  // Closed and stored: what is left is to look at it. Without the server the page stays, the record would not know yet.
  const [wasFinished] = useState(view.finished !== null);
  const isStored = view.finished !== null && queue.waiting.length === 0;
  useEffect(() => {
    if (isStored && !wasFinished) void navigate(`/bench/${sent.id}/record`);
  }, [isStored, wasFinished, navigate, sent.id]);
  return (
    <BenchPage
      here={here}
      newId={newId}
      refused={refused}
      seed={sent.id}
      title={`${view.code}, ${view.name}`}
      under={
        <span className={classes.sub}>
          batch <strong>{view.code}</strong>
        </span>
      }
      doors={<Link to={`/bench/${sent.id}/record`}>Record</Link>}
      above={<Overdrawn batch={sent.id} lots={overdrawn} />}
      end={<Finish />}
    />
  );
}
