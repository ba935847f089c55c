import { polymerTunings, questionOfHaste, type Step } from "@tensidrum/core/process";
import { finestFirst, decimalPlaces, scaleFor, written } from "@tensidrum/core/quantities";
import { useBench } from "../bench";
import { BigButton } from "../BigButton";
import { Entry } from "../Entry";
import { Addition } from "./Addition";
import step from "../Step.module.css";
import { Hydrating } from "./Hydrating";
import classes from "./Tuning.module.css";

/** A late thickener, folded in by small steps: what comes too much cannot be taken out, and it shows tomorrow. */
export function TunePolymer({ step: due }: { readonly step: Step }) {
  const { view, plan, clock } = useBench();
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
        <Addition
          ask={() => questionOfHaste("thickened", view, clock())}
          key={next.lastAt}
          name={nameOf(next.line)}
          grams={next.nextGrams}
          decimals={decimals}
          estimate={null}
          hidden={{ step: due.id, line: next.line }}
          intent="thicken"
          act="The thickener is in"
          taken="Folded in, look at 0:30"
        >
          One of at most five portions. Fold it in without air, look after half an hour, and stop while it still looks a little thin: it
          goes on building all night.
        </Addition>
      )}
      {next !== undefined && next.leftGrams > next.nextGrams && (
        <Entry
          hidden={{ step: due.id, line: next.line, grams: next.leftGrams.toFixed(decimals) }}
          className={classes.again}
          ask={() => `It goes on building all night, and too much cannot be taken out. All ${written(next.leftGrams, decimals)} g at once?`}
          reasons={["an earlier batch took it", "intended", "trial"]}
        >
          <BigButton intent="thicken" act="All of the thickener at once">
            All that is left at once
          </BigButton>
        </Entry>
      )}
      <Entry hidden={{ step: due.id }} className={step.acts}>
        <BigButton isLarge isMain={next === undefined} intent="done" act="Enough of the thickener">
          Enough, next step
        </BigButton>
      </Entry>
    </>
  );
}
