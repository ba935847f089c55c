import type { Step } from "@tensidrum/core/process";
import { lookedWords } from "../record/logOf";
import { useBench } from "./bench";
import { BigButton } from "./BigButton";
import { Entry } from "./Entry";
import { Looks } from "./Looks";
import classes from "./Step.module.css";

/** The batch has rested: how it came out is kept, then it is filled. */
export function Judge({ step }: { readonly step: Step }) {
  const { view } = useBench();
  const looked = view.standing.findLast((entry) => entry.kind === "looked" && entry.step === step.id);
  return (
    <>
      <p className={classes.do}>{step.do}</p>
      {looked?.kind === "looked" && (
        <p role="status" className={classes.do}>
          {lookedWords(looked)}
        </p>
      )}
      <Looks key={looked?.id} stepId={step.id} onEntered={() => undefined} />
      <Entry hidden={{ step: step.id }} className={classes.acts}>
        <BigButton isMain intent="done" act="It is judged and filled" actKey=" ">
          Finish
        </BigButton>
      </Entry>
    </>
  );
}
