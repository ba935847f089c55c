import type { Step } from "@tensidrum/core/process";
import type { Measuring } from "../batch/batchView";
import { useBench } from "./bench";
import classes from "./Step.module.css";
import { Weighing } from "./Weighing";

const PART_OFF_PERCENT = 2;

const words = {
  "before-heating": "Weigh beaker, stirrer and content together, before the heat.",
  "after-heating": "Weigh beaker, stirrer and content again.",
  part: "Draw this part of the base into its own beaker.",
} as const;

/** A beaker or a part onto the scale: what it weighs is needed later. */
export function Measure({ step, measuring: { what, targetGrams } }: { readonly step: Step; readonly measuring: Measuring }) {
  const { view, plan } = useBench();
  const off = ((targetGrams ?? 0) * PART_OFF_PERCENT) / 100;
  const tare = view.tares.get(step.vessel ?? "") ?? 0;
  return (
    <>
      <p className={classes.do}>
        {words[what]}
        {what === "after-heating" &&
          targetGrams === null &&
          " No earlier weight and no tare weight are known: replace what you think has evaporated."}
      </p>
      <Weighing
        intent="measure"
        id={step.id}
        name={what === "part" ? step.title : "Beaker, stirrer and content"}
        hidden={{ step: step.id }}
        target={what === "part" && targetGrams !== null ? { grams: targetGrams, low: targetGrams - off, high: targetGrams + off } : null}
        expects={what === "after-heating" ? targetGrams : null}
        decimals={view.decimals}
        scaleKind={plan.formula.scales.toSorted((a, b) => b.capacityGrams - a.capacityGrams)[0] ?? null}
        loadGrams={what === "part" ? tare : 0}
        isGross={what !== "part"}
        pours={tare + (view.contents.get(step.id) ?? 0)}
      />
    </>
  );
}
