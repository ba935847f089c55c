import type { TitrationAdvice } from "@tensidrum/core/acidity";
import { dilutedTenfold, questionOf, type BenchAgent, type Step } from "@tensidrum/core/process";
import { decimalPlaces, finestFirst, readNumber, scaleFor } from "@tensidrum/core/quantities";
import { useBench } from "../bench";
import step from "../Step.module.css";
import { Addition } from "./Addition";
import { questionOfLot } from "./questionOfLot";

interface PhAdviceProps {
  readonly advice: TitrationAdvice | null;
  readonly agents: readonly BenchAgent[];
  readonly main: BenchAgent;
  readonly due: Step;
  /** It goes into the sample that is aside, of a solution a tenth as strong. */
  readonly vessel?: "sample";
}

const BATCH_ESTIMATE =
  "A few thousand plausible batches of this formula are compared with your readings. Lists that are wrong, weak batches and a meter that is off are among them. The dose is the smaller of the one that brings their middle to the middle of the corridor, and the one that carries at most 6 in a thousand of them clearly past it; 90 % of them land between the two ends.";
const SAMPLE_ESTIMATE =
  "A few thousand plausible batches of this formula are compared with your readings. The dose goes for the middle of the corridor; one in five may pass it, since only the sample is at stake.";

/** What to add now, and the form that says it went in. */
export function PhAdvice({ advice, agents, main, due, vessel }: PhAdviceProps) {
  const { plan } = useBench();
  if (advice === null) return <p className={step.do}>Calculating the next dose …</p>;
  const { recommend, text } = advice;
  const solution = recommend.agent === "agent" ? main : (agents.find(({ kind }) => kind !== main.kind) ?? main);
  const scale = scaleFor(recommend.grams, finestFirst(plan.formula.scales));
  const decimals = decimalPlaces(scale?.readabilityGrams ?? 0.01);
  const ask = (form: { readonly grams: string }): string | null => {
    const grams = readNumber(form.grams);
    if (!grams.ok) return null;
    return (
      questionOf({ kind: "dosed", grams: grams.value }, { last: null, dosedKind: null, advisedGrams: recommend.grams }) ??
      questionOfLot(solution, form.grams)
    );
  };
  return (
    <Addition
      {...{ name: vessel === "sample" ? dilutedTenfold(solution).name : solution.name, grams: recommend.grams, decimals }}
      estimate={vessel === "sample" ? SAMPLE_ESTIMATE : BATCH_ESTIMATE}
      hidden={{ step: due.id, agent: solution.name, ...(vessel === undefined ? {} : { vessel }) }}
      ask={ask}
      intent="dose"
      act={vessel === "sample" ? "The dose is in the sample" : "The dose is in"}
      taken="Dosed, start 2:00"
    >
      {text}
    </Addition>
  );
}
