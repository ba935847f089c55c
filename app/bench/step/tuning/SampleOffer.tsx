import { dilutedTenfold, type BenchAgent, type SampleFirst, type Step } from "@tensidrum/core/process";
import { Entry } from "../Entry";
import { Portion } from "../instruments/Portion";
import step from "../Step.module.css";
import classes from "./Tuning.module.css";

const reasonWords: Readonly<Record<NonNullable<SampleFirst["reason"]>, string>> = {
  chance: "This dose may pass the window. ",
  "many-doses": "Little is known of this batch: it will take several doses. ",
  large: "It is a large batch. ",
};

interface SampleOfferProps {
  readonly offer: SampleFirst;
  readonly agent: BenchAgent;
  readonly due: Step;
}

/** A sample can be taken aside and set first; open where something calls for it. */
export function SampleOffer({ offer: { reason, grams }, agent, due }: SampleOfferProps) {
  return (
    <details className={classes.fold} open={reason !== null}>
      <summary data-big data-act="A sample first">
        A sample first
      </summary>
      <Entry hidden={{ step: due.id }} className={classes.again}>
        <p className={step.do}>
          {reason !== null && <strong>{reasonWords[reason]}</strong>}
          Take {grams} g aside and set their pH first: with {dilutedTenfold(agent).name}, the rest distilled water. What the sample takes
          tells what the batch takes, and the batch cannot be overshot meanwhile.
        </p>
        <Portion
          name="sample"
          grams={grams}
          decimals={1}
          words="taken aside"
          button={{ intent: "take-sample", act: "The sample is aside", taken: "Taken aside", isMain: false }}
        />
      </Entry>
    </details>
  );
}
