import type { Step } from "@tensidrum/core/making";
import type { LineView } from "../batch/batchView";
import { useBench } from "./bench";
import classes from "./Step.module.css";
import { Weighing } from "./Weighing";

/** One line onto the scale. */
export function WeighLine({ step, line }: { readonly step: Step; readonly line: LineView }) {
  const { view } = useBench();
  const off = (line.targetGrams * line.allowedPercent) / 100;
  const before = view.steps[view.steps.findIndex((one) => one.step.id === step.id) - 1];
  const inVessel = before?.step.vessel === step.vessel ? (view.contents.get(before.step.id) ?? 0) : 0;
  const here = view.lines.filter(({ line: id, actualGrams }) => step.lines.includes(id) && actualGrams !== null);
  return (
    <>
      <p className={classes.do}>
        {step.lines.length > 1 ? "Weigh in" : "Weigh"} <strong>{line.name}</strong>
      </p>
      <Weighing
        intent="weigh"
        id={line.line}
        name={line.name}
        hidden={{ step: step.id, line: line.line }}
        target={{ grams: line.targetGrams, low: line.targetGrams - off, high: line.targetGrams + off }}
        decimals={line.decimals}
        scaleKind={line.scale}
        loadGrams={(view.tares.get(step.vessel ?? "") ?? 0) + inVessel + here.reduce((sum, { actualGrams }) => sum + (actualGrams ?? 0), 0)}
      />
    </>
  );
}
