import { polymerTunings, type Step } from "@tensidrum/core/making";
import { finestFirst, decimalPlaces, scaleFor, written } from "@tensidrum/core/quantities";
import { useBench } from "../bench";
import { BigButton } from "../BigButton";
import { Entry } from "../Entry";
import { Portion } from "../instruments/Portion";
import step from "../Step.module.css";
import { Hydrating } from "./Hydrating";
import classes from "./Tuning.module.css";

/** A late thickener, folded in by small steps: what comes too much cannot be taken out, and it shows tomorrow. */
export function TunePolymer({ step: due }: { readonly step: Step }) {
  const { view, plan } = useBench();
  const tunings = polymerTunings(plan, { standing: view.standing }, due.id);
  const next = tunings.find(({ nextGrams }) => nextGrams > 0);
  const nameOf = (line: string): string => view.lines.find((one) => one.line === line)?.name ?? "the thickener";
  const decimals = decimalPlaces(scaleFor(next?.nextGrams ?? 1, finestFirst(plan.formula.scales))?.readabilityGrams ?? 0.01);
  return (
    <>
      <p className={classes.head}>
        {tunings.map(({ line, addedGrams, plannedGrams }) => (
          <span key={line}>
            {nameOf(line)}: <strong>{written(addedGrams, 2)}</strong> of {written(plannedGrams, 2)} g planned
          </span>
        ))}
      </p>
      <Hydrating />
      {next === undefined ? (
        <p className={step.do}>All that was planned is in. Judge it tomorrow; more can be folded in then, nothing can be taken out.</p>
      ) : (
        <div className={classes.advice}>
          <output className={classes.hero} aria-label={`Fold in, g of ${nameOf(next.line)}`}>
            {written(next.nextGrams, decimals)}
            <small> g</small>
          </output>
          <div>
            <p className={step.do}>
              <strong>of {nameOf(next.line)}. </strong>A quarter of a percent of the batch. Fold it in without air, look after half an hour,
              and stop while it still looks a little thin: it goes on building all night.
            </p>
            <Entry hidden={{ step: due.id, line: next.line }} className={classes.dose}>
              <Portion name={nameOf(next.line)} grams={next.nextGrams} decimals={decimals} />
              <BigButton isMain intent="thicken" act="The thickener is in" actKey=" ">
                Folded in, look at 0:30
              </BigButton>
            </Entry>
          </div>
        </div>
      )}
      <Entry hidden={{ step: due.id }} className={step.acts}>
        <BigButton isLarge isMain={next === undefined} intent="done" act="Enough of the thickener">
          Enough, next step
        </BigButton>
      </Entry>
    </>
  );
}
