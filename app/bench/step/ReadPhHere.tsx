import { agentsOf, phTuning, type Step } from "@tensidrum/core/process";
import { written } from "@tensidrum/core/quantities";
import { useBench } from "./bench";
import { ReadPh } from "./tuning/ReadPh";
import classes from "./Step.module.css";

/** The pH where it is only read, with what was read last; the first reading of a batch is what is to be done next. */
export function ReadPhHere({ step }: { readonly step: Step }) {
  const { view, plan } = useBench();
  const [agent] = agentsOf(plan);
  if (agent === undefined) return null;
  const tuning = phTuning(plan, { standing: view.standing }, { agent, counterAgent: null });
  const last = tuning.rows.at(-1);
  return (
    <>
      {last !== undefined && (
        <p role="status" className={classes.do}>
          Last read: pH {written(last.ph, 2)}.
        </p>
      )}
      <ReadPh key={last?.id} due={step} tuning={tuning} isFirst={last === undefined} isAgain={last !== undefined || step.reads !== "ph"} />
    </>
  );
}
