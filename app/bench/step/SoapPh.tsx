import type { Step } from "@tensidrum/core/process";
import { useBench } from "./bench";
import { BigButton } from "./BigButton";
import { Entry } from "./Entry";
import { ReadPhHere } from "./ReadPhHere";
import classes from "./Step.module.css";

/** The pH of soap: it is read and noted, never adjusted with acid. */
export function SoapPh({ step }: { readonly step: Step }) {
  const { view } = useBench();
  const isRead = view.standing.some(({ kind }) => kind === "ph-read");
  return (
    <>
      <p className={classes.do}>{step.do}</p>
      <ReadPhHere step={step} />
      <Entry hidden={{ step: step.id }} className={classes.acts} ask={() => (isRead ? null : "No pH was read. Go on without it?")}>
        <BigButton isMain={isRead} isDocked={isRead} intent="done" act="The pH is noted">
          Done, next step
        </BigButton>
      </Entry>
    </>
  );
}
