import type { Step } from "@tensidrum/core/process";
import { decimalPlaces, written } from "@tensidrum/core/quantities";
import type { LineView } from "../batch/batchView";
import { scaleOfWeighing } from "../batch/scaleOfWeighing";
import { useBench } from "./bench";
import classes from "./Step.module.css";
import { Weighing } from "./Weighing";

/** One line onto the scale. */
export function WeighLine({ step, line }: { readonly step: Step; readonly line: LineView }) {
  const { view, plan } = useBench();
  const off = (line.targetGrams * line.allowedPercent) / 100;
  const load = useLoad(step);
  const { scale, isInCup } = scaleOfWeighing(plan.formula.scales, { loadGrams: load, grams: line.targetGrams });
  return (
    <>
      <p className={classes.do}>
        Weigh <strong>{line.name}</strong>
        {isInCup && `. The ${scale?.name ?? "fine"} scale cannot carry the beaker: use a small cup`}
        {line.lots.length > 0 && " "}
        {line.lots.length > 0 && <span className={classes.from}>from lot {line.lots.map(({ code }) => code).join(" and ")}</span>}
        {scale !== null && " "}
        {scale !== null && (
          <span className={classes.from}>
            {scale.name}, {scale.readabilityGrams} g
          </span>
        )}
      </p>
      {step.code === "weigh-water" && line.targetGrams >= LEAST_TO_HOLD_BACK_GRAMS && (
        <p className={classes.do}>
          Hold back <strong>{written(holdBack(line.targetGrams), 0)} g</strong> of it in a small cup: it rinses the beakers and still goes
          in.
        </p>
      )}
      <Weighing
        intent="weigh"
        id={line.line}
        name={line.name}
        hidden={{ step: step.id, line: line.line }}
        target={{ grams: line.targetGrams, low: line.targetGrams - off, high: line.targetGrams + off }}
        decimals={scale === null ? view.decimals : decimalPlaces(scale.readabilityGrams)}
        scaleKind={scale}
        loadGrams={isInCup ? 0 : load}
      />
    </>
  );
}

/** Of less water nothing is held back, g. */
const LEAST_TO_HOLD_BACK_GRAMS = 50;
/** What rinses a small beaker, as a part of the water, and g at most. */
const HELD_BACK = { part: 0.05, mostGrams: 30 };

function holdBack(waterGrams: number): number {
  return Math.min(HELD_BACK.mostGrams, Math.round((waterGrams * HELD_BACK.part) / 5) * 5);
}

/** What stands on the scale already: the beaker with what came into it so far, g. */
export function useLoad(step: Step): number {
  const { view } = useBench();
  const at = view.steps.findIndex((one) => one.step.id === step.id);
  const before = view.steps.slice(0, at).findLast((one) => one.step.vessel === step.vessel);
  const content = before === undefined ? 0 : (view.contents.get(before.step.id) ?? 0);
  const here = view.lines.reduce((sum, { line, actualGrams }) => sum + (step.lines.includes(line) ? (actualGrams ?? 0) : 0), 0);
  return (view.tares.get(step.vessel ?? "") ?? 0) + content + here;
}
