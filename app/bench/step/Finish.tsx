import { TextInput, UnstyledButton } from "@mantine/core";
import { sampleOut } from "@tensidrum/core/process";
import { written } from "@tensidrum/core/quantities";
import { Link } from "react-router";
import { gramsOfWeight } from "../batch/gramsOfWeight";
import { totalInWords, yieldWords } from "../record/accountWords";
import { useBench } from "./bench";
import { BigButton } from "./BigButton";
import { ClockTime } from "./ClockTime";
import { Entry } from "./Entry";
import { PourBack } from "./tuning/PourBack";
import classes from "./Step.module.css";

/** What a batch yields of what was weighed in, %. */
const USUAL_YIELD = { low: 85, high: 102 };

function questionOfYield(typed: string, inGrams: number): string | null {
  const read = gramsOfWeight(typed);
  if (!("value" in read) || !(read.value > 0) || inGrams <= 0) return null;
  const percent = (100 * read.value) / inGrams;
  if (percent >= USUAL_YIELD.low && percent <= USUAL_YIELD.high) return null;
  return `${written(read.value, 1)} g is ${written(percent, 1)} % of the total weighed in; usual is ${USUAL_YIELD.low} to ${USUAL_YIELD.high} %. Look whether the beaker was weighed with it, or something is missing. Is it right?`;
}

/** All steps are through: what came out is weighed, and the batch is closed. */
export function Finish() {
  const { view, isGuarded } = useBench();
  if (view.finished !== null) {
    return (
      <section>
        <h2 className={classes.title}>
          {view.finished.isDiscarded ? "Discarded" : "Closed"} <ClockTime at={view.finished.at} />
        </h2>
        <p className={classes.do}>
          {view.finished.isDiscarded ? "Nothing was weighed." : yieldWords(view.account)}{" "}
          <Link to={`/bench/${view.id}/record`}>The record</Link>
          {view.formulaId !== null && !view.finished.isDiscarded && (
            <>
              {" · "}
              <Link to={`/sheet/${view.formulaId}/as-made/${view.id}`} data-act="New draft with what was done">
                New draft with what was done
              </Link>
            </>
          )}
        </p>
        <Entry hidden={{ entry: view.last?.id ?? "" }}>
          <UnstyledButton
            type="submit"
            name="intent"
            value="back"
            disabled={isGuarded}
            className={classes.quiet}
            data-act="Open the batch again"
          >
            Open it again
          </UnstyledButton>
        </Entry>
      </section>
    );
  }
  const out = sampleOut(view.standing);
  return (
    <section aria-labelledby="finish-head">
      <h2 id="finish-head" className={classes.title}>
        All steps are done
      </h2>
      {out !== null && (
        <>
          <p className={classes.problem} role="status">
            A sample of {written(out.takenGrams, 1)} g was never poured back.
          </p>
          <PourBack sample={out} stepId={out.step} isDue />
        </>
      )}
      <p className={classes.do}>Weigh the yield. {totalInWords(view.account)}</p>
      <Entry className={classes.acts} ask={({ grams }) => questionOfYield(grams, view.account.inGrams)}>
        <label className={classes.field}>
          yield
          <TextInput name="grams" inputMode="decimal" autoComplete="off" aria-label="Yield, g" autoFocus />g
        </label>
        <BigButton isMain={out === null} intent="finish" act="Close the batch">
          Close the batch
        </BigButton>
      </Entry>
    </section>
  );
}
