import type { Step } from "@tensidrum/core/process";
import type { ReactNode } from "react";
import { Link } from "react-router";
import { lookedWords } from "../record/logOf";
import { readThicknessWords } from "../record/accountWords";
import { useBench } from "./bench";
import { BigButton } from "./BigButton";
import { Entry } from "./Entry";
import { Filled } from "./Filled";
import { Looks } from "./Looks";
import { ReadPhHere } from "./ReadPhHere";
import { ReadThickness } from "./tuning/ReadThickness";
import classes from "./Step.module.css";

/** The batch has rested: pH, thickness and look are kept, then it is filled. */
export function Judge({ step }: { readonly step: Step }) {
  const { view, plan } = useBench();
  const looked = view.standing.findLast((entry) => entry.kind === "looked" && entry.step === step.id);
  const read = view.standing.findLast((entry) => entry.kind === "thickness-read");
  // What holds no water has neither.
  const isRead = plan.steps.some(({ tunes, reads }) => tunes === "ph" || reads === "ph");
  return (
    <>
      <p className={classes.do}>{step.do}</p>
      {isRead && (
        <Part name="pH">
          <ReadPhHere step={step} />
        </Part>
      )}
      {isRead && (
        <Part name="Thickness">
          {read?.kind === "thickness-read" && (
            <p role="status" className={classes.do}>
              Last read: {readThicknessWords(read)}.
            </p>
          )}
          <ReadThickness key={read?.id} due={step} words="" unit={read?.kind === "thickness-read" ? read.unit : null} isAgain />
        </Part>
      )}
      <Part name="Look and feel">
        {looked?.kind === "looked" && (
          <p role="status" className={classes.do}>
            {lookedWords(looked)}
          </p>
        )}
        <Looks key={looked?.id} stepId={step.id} onEntered={() => undefined} />
      </Part>
      <Part name="Containers">
        <p className={classes.do}>
          <Link to={`/fill/${view.id}`} data-act="Fill container by container">
            Fill it container by container
          </Link>
          , on the scale; or only count them here.
        </p>
        <Filled step={step} />
      </Part>
      <Entry hidden={{ step: step.id }} className={classes.acts}>
        <BigButton isMain intent="done" act="It is judged and filled" actKey=" ">
          Finish
        </BigButton>
      </Entry>
    </>
  );
}

function Part({ name, children }: { readonly name: string; readonly children: ReactNode }) {
  return (
    <section aria-label={name}>
      <h3 className={classes.part}>{name}</h3>
      {children}
    </section>
  );
}
