import { sumsAsMade, type SumAsMade } from "@tensidrum/core/process";
import { written } from "@tensidrum/core/quantities";
import { useEffect, useState } from "react";
import { SumsTable } from "../record/SumsTable";
import { stateOfView } from "../batch/batchView";
import { useBench } from "./bench";
import classes from "./Step.module.css";
import { FormError } from "../../components/FormError";

/** The sums of the batch from what was really weighed, beside those it was planned with. */
export function AsWeighed() {
  const { view, plan } = useBench();
  const [sums, setSums] = useState<readonly SumAsMade[]>([]);
  // Read once the step is on the screen: nobody waits for it.
  useEffect(() => {
    const isAnyWeighed = view.lines.some(({ actualGrams }) => actualGrams !== null);
    setSums(isAnyWeighed ? sumsAsMade(plan, stateOfView(view)) : []);
  }, [plan, view]);
  if (sums.length === 0) return null;
  const outside = sums.filter((sum) => sum.outside !== null);
  return (
    <>
      {outside.map(({ id, what, made, outside: dose }) => (
        <FormError key={id}>
          As weighed, {what} comes to {written(made, 2)} %; its dose is {dose?.low} to {dose?.high} %.
        </FormError>
      ))}
      <details className={classes.sums}>
        <summary>The sums as weighed so far</summary>
        <SumsTable sums={sums} />
        <p>Lines of steps that are open count as they are to be.</p>
      </details>
    </>
  );
}
