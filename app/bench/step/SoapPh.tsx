import { agentsOf, phTuning, type Step } from "@tensidrum/core/process";
import { written } from "@tensidrum/core/quantities";
import { useBench } from "./bench";
import { BigButton } from "./BigButton";
import { Entry } from "./Entry";
import { ReadPh } from "./tuning/ReadPh";
import classes from "./Step.module.css";

/** The pH of soap: it is read and noted, never adjusted with acid. */
export function SoapPh({ step }: { readonly step: Step }) {
  const { view, plan } = useBench();
  const [agent] = agentsOf(plan);
  if (agent === undefined) return null;
  const tuning = phTuning(plan, { standing: view.standing }, { agent, counterAgent: null });
  const last = tuning.rows.at(-1);
  return (
    <>
      <p className={classes.do}>{step.do}</p>
      {last !== undefined && (
        <p role="status" className={classes.do}>
          Last read: pH {written(last.ph, 2)}.
        </p>
      )}
      <ReadPh due={step} tuning={tuning} isFirst={last === undefined} isAgain={last !== undefined} />
      <Entry
        hidden={{ step: step.id }}
        className={classes.acts}
        ask={() => (last === undefined ? "No pH was read. Go on without it?" : null)}
      >
        <BigButton isMain={last !== undefined} intent="done" act="The pH is noted">
          Done, next step
        </BigButton>
      </Entry>
    </>
  );
}
