import { Button } from "@mantine/core";
import { written } from "@tensidrum/core/quantities";
import type { ReactNode } from "react";
import { Form, Link, useNavigation } from "react-router";
import { Frame } from "../frame/Frame";
import { WashLine } from "../frame/washLine/WashLine";
import { Streams } from "../pictures/Streams/Streams";
import type { OpenBatch } from "./bench.server";
import { benchPegs } from "./benchPegs";
import classes from "./Bench.module.css";
import type { BenchForm } from "./forms.server";
import { StepView } from "./StepView";

interface BatchPageProps {
  readonly batch: OpenBatch;
  readonly answered: { readonly problem: string; readonly form: BenchForm } | null;
}

/** A batch at the bench: the streams, the step that is due, and what can be entered. */
export function BatchPage({ batch, answered }: BatchPageProps) {
  const { code, name, steps, lines, vessels, currentId, last } = batch;
  const current = steps.find(({ step }) => step.id === currentId)?.step ?? null;
  const grams = new Map(lines.map((line) => [line.line, line.actualGrams ?? line.targetGrams]));
  const through = steps.filter(({ state }) => state !== "open").length;
  return (
    <Frame
      head={
        <>
          <h1 className={classes.head}>{name}</h1>
          <span className={classes.sub}>
            {code}, {batch.batch}, step {Math.min(through + 1, steps.length)} of {steps.length}
          </span>
        </>
      }
      doors={<Link to={`/bench/${batch.id}/record`}>Record so far</Link>}
      line={<WashLine pegs={benchPegs(batch.finished === null ? "being made" : "finished")} />}
    >
      <title>{`${code}, ${name}`}</title>
      <div className={classes.page}>
        <div className={classes.streams}>
          <Streams
            vessels={vessels}
            currentId={currentId}
            steps={steps.map(({ step, state }) => ({
              id: step.id,
              title: step.title,
              vessel: step.vessel,
              after: step.after,
              state,
              grams: step.lines.reduce((sum, line) => sum + (grams.get(line) ?? 0), 0),
            }))}
          />
        </div>
        <div>
          {answered !== null && (
            <p role="alert" className={classes.problem}>
              {answered.problem}
            </p>
          )}
          {current === null ? <Finish batch={batch} /> : <StepView batch={batch} step={current} answered={answered} />}
          {last !== null && batch.finished === null && (
            <Entry batch={batch} hidden={{ entry: last }}>
              <button type="submit" name="intent" value="back" className={classes.quiet} data-act="Take the last entry back">
                Take the last entry back
              </button>
            </Entry>
          )}
        </div>
      </div>
    </Frame>
  );
}

interface EntryProps {
  readonly batch: OpenBatch;
  readonly hidden?: Readonly<Record<string, string>>;
  readonly className?: string | undefined;
  readonly children: ReactNode;
}

/** A form whose entry has an identifier of its own: sent twice it is entered once. */
export function Entry({ batch, hidden = {}, className, children }: EntryProps) {
  return (
    <Form method="post" className={className}>
      <input type="hidden" name="id" value={batch.newId} />
      {Object.entries(hidden).map(([name, value]) => (
        <input key={name} type="hidden" name={name} value={value} />
      ))}
      {children}
    </Form>
  );
}

/** All steps are through: what came out is weighed, and the batch is closed. */
function Finish({ batch }: { readonly batch: OpenBatch }) {
  const isBusy = useNavigation().state !== "idle";
  const total = batch.lines.reduce((sum, { actualGrams }) => sum + (actualGrams ?? 0), 0);
  if (batch.finished !== null) {
    return (
      <p className={classes.empty}>
        Finished {batch.finished.at}, {written(batch.finished.yieldGrams, 1)} g. <Link to={`/bench/${batch.id}/record`}>The record</Link>
      </p>
    );
  }
  return (
    <section aria-labelledby="finish-head">
      <h2 id="finish-head" className={classes.title}>
        All steps are through
      </h2>
      <p className={classes.do}>Weigh what came out; {written(total, 1)} g went in.</p>
      <Entry batch={batch} className={classes.weigh}>
        <input name="grams" inputMode="decimal" autoComplete="off" aria-label="What came out, g" autoFocus />
        <span>g</span>
        <Button type="submit" name="intent" value="finish" h={72} fz={20} loading={isBusy}>
          Close the batch
        </Button>
      </Entry>
    </section>
  );
}
