import { written } from "@tensidrum/core/quantities";
import type { ReactNode } from "react";
import type { BenchForm } from "../../batch/benchForm";
import { Entry } from "../Entry";
import { Portion } from "../instruments/Portion";
import step from "../Step.module.css";
import classes from "./Tuning.module.css";

interface AdditionProps {
  /** What goes in. */
  readonly name: string;
  /** Advised, g; 0 where nothing is to go in. */
  readonly grams: number;
  readonly decimals: number;
  /** The advice in words. */
  readonly children: ReactNode;
  /** Why it is an estimate; null for a rule. */
  readonly estimate: string | null;
  readonly hidden: Readonly<Record<string, string>>;
  readonly ask?: (form: BenchForm) => string | null;
  readonly intent: BenchForm["intent"];
  readonly act: string;
  /** On the button. */
  readonly taken: string;
}

/** What goes in now, large, with its reasons, and the form that says how much of it truly did. */
export function Addition({ name, grams, decimals, children, estimate, hidden, ask, intent, act, taken }: AdditionProps) {
  return (
    <>
      <div className={classes.advice}>
        {grams > 0 && (
          <output className={classes.hero} aria-label={`Add, g of ${name}`}>
            {written(grams, decimals)}
            <small> g</small>
          </output>
        )}
        <div>
          <p className={step.do}>
            {grams > 0 && <strong>of {name}. </strong>}
            {children}
          </p>
          {estimate !== null && (
            <details className={classes.estimate}>
              <summary>why an estimate</summary>
              {estimate}
            </details>
          )}
        </div>
      </div>
      {grams > 0 && (
        <Entry hidden={hidden} className={classes.dose} {...(ask === undefined ? {} : { ask })}>
          <Portion name={name} grams={grams} decimals={decimals} button={{ intent, act, taken, isMain: true }} />
        </Entry>
      )}
    </>
  );
}
