import type { TitrationAdvice } from "@tensidrum/core/acidity";
import { curveInGrams, dilutedTenfold, type BenchAgent, type PhTuning, type Step, type TitratedSample } from "@tensidrum/core/process";
import { written } from "@tensidrum/core/quantities";
import { Stair } from "../../../pictures/Stair/Stair";
import step from "../Step.module.css";
import { PhAdvice } from "./PhAdvice";
import { ReadAgain } from "./ReadAgain";
import { Readings } from "./Readings";
import { ReadPh } from "./ReadPh";
import classes from "./Tuning.module.css";

/** The sample has told what it can: it is inside, or past the window, which costs the batch nothing. */
export function hasTold(advice: TitrationAdvice | null): boolean {
  return advice?.state === "in-target" || advice?.state === "overshot";
}

interface SampleTuningProps {
  readonly sample: TitratedSample;
  readonly advice: TitrationAdvice | null;
  readonly agent: BenchAgent;
  readonly corridor: PhTuning["corridor"];
  readonly due: Step;
}

/** The pH of the sample that is aside: the same screen as for the batch, with a solution a tenth as strong. */
export function SampleTuning({ sample, advice, agent, corridor, due }: SampleTuningProps) {
  const { rows, aside, titration, isDosedSince } = sample;
  const thin = dilutedTenfold(agent);
  const last = rows.at(-1)!;
  const begun = titration.readings[0]!.doseGramsTotal;
  const curve =
    advice === null ? [] : curveInGrams(titration, advice.bufferCurve, aside.contentGrams).map(({ grams, ph }) => ({ grams, ph }));
  const next = advice !== null && advice.recommend.grams > 0 && advice.recommend.agent === "agent" ? advice.recommend : null;
  return (
    <>
      <p className={classes.head}>
        <strong>sample, {written(aside.takenGrams, 1)} g taken</strong>
        <span>{written(last.ph, 2)} now</span>
        <span>
          {written(last.totalGrams, 2)} g of {thin.name} so far
        </span>
        <span>left of it {written(aside.contentGrams, 1)} g</span>
      </p>
      {isDosedSince ? (
        <ReadPh due={due} tuning={sample} vessel="sample" isFirst={false} />
      ) : hasTold(advice) ? (
        <p className={step.do}>
          {advice?.state === "overshot" ? "The sample has passed the window, which costs the batch nothing." : "The sample is inside."} It
          tells what the batch takes. Dose the batch, then pour the sample back.
        </p>
      ) : (
        <PhAdvice advice={advice} agents={[agent]} main={agent} due={due} vessel="sample" />
      )}
      <Stair
        agent="one part in ten"
        band={corridor}
        readings={rows.map(({ totalGrams, ph }) => ({ grams: totalGrams, ph }))}
        curve={begun > 0 ? [] : curve}
        expected={
          next === null || hasTold(advice)
            ? null
            : { grams: last.totalGrams + next.grams, ph: next.expectedPh, low: next.expectedPhLow, high: next.expectedPhHigh }
        }
      />
      {!isDosedSince && (
        <ReadAgain key={`${last.id} ${advice?.state ?? ""}`} isOpen={advice?.state === "reread"}>
          <ReadPh due={due} tuning={sample} vessel="sample" isFirst={false} isAgain />
        </ReadAgain>
      )}
      <Readings tuning={sample} />
    </>
  );
}
