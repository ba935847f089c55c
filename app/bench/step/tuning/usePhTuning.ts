import {
  curveInGrams,
  phTuning,
  sampleFirst,
  sampleOut,
  targetOf,
  weighableAgent,
  type BatchEntry,
  type BatchPlan,
  type BenchAgent,
  type PhTuning,
  type Step,
} from "@tensidrum/core/process";
import type { Titration, TitrationAdvice } from "@tensidrum/core/acidity";
import { finestFirst } from "@tensidrum/core/quantities";
import { useEffect, useMemo, useRef, useState } from "react";
import { useBench } from "../bench";
import type { MaybeRead } from "./ReadPh";
import { usePhAdvice } from "./useAdvice";
import { useAgents } from "./useAgents";

/** The batch on its way to its pH: solutions in use, readings, what is advised for the batch and for a sample of it. */
export function usePhTuning(due: Step) {
  const { view, plan, earlier } = useBench();
  const agents = useAgents();
  const { acid, base, pick } = agents;
  const [maybe, onMaybe] = useState<MaybeRead | null>(null);
  const first = view.standing.find((entry) => entry.kind === "ph-read");
  const corridor = useMemo(() => targetOf(plan, view.standing), [plan, view.standing]);
  const middle = (corridor.low + corridor.high) / 2;
  // The main solution is the one the first reading asks for; the other one takes back what went too far.
  const isAcidMain = first?.kind !== "ph-read" || first.ph >= middle;
  const [agent, counterAgent] = isAcidMain ? [acid, base] : [base, acid];
  const tuning = useMemo(
    () => phTuning(plan, { standing: view.standing }, { agent, counterAgent }),
    [plan, view.standing, agent, counterAgent],
  );
  const { sample } = tuning;
  const out = sampleOut(view.standing);
  const before = useMemo(
    () => (earlier === null ? null : phTuning(sizedPlan(plan, earlier.batchGrams), { standing: earlier.entries }, { agent, counterAgent })),
    [plan, earlier, agent, counterAgent],
  );
  const advice = usePhAdvice({
    titration: tuning.isDosedSince ? null : tuning.titration,
    ahead: useMemo(
      () => aheadOf(plan, view.standing, due.id, { maybe, agent, counterAgent }),
      [plan, view.standing, due.id, maybe, agent, counterAgent],
    ),
    options: { earlier: earlierOf(before), sample: sample?.titration ?? null },
  });
  const sampleAdvice = usePhAdvice({
    titration: out === null || sample === null || sample.isDosedSince ? null : sample.titration,
    ahead: null,
    options: { earlier: earlierOf(before), isSample: true },
  });
  const dosing = advice?.recommend.agent === "counterAgent" ? counterAgent : agent;
  const weaker =
    advice === null
      ? null
      : weighableAgent({ agent: dosing, grams: advice.recommend.grams }, agents.all, {
          scaleStepGrams: finestFirst(plan.formula.scales)[0]?.readabilityGrams ?? 0.01,
          ph: middle,
          batchGrams: plan.formula.batchGrams,
        });
  // What the maker has not chosen is picked by the dose; what was chosen is left, and the other one offered.
  useEffect(() => {
    if (weaker === null || agents.isChosen(weaker.agent.kind)) return;
    pick(weaker, { name: dosing.name, grams: advice?.recommend.grams ?? 0 });
    // Another dose of the same solution picks no other one.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [weaker?.agent.name]);
  const mustRead = due.code === "ph-again" && !view.standing.some((entry) => entry.kind === "ph-read" && entry.step === due.id);
  const doses = view.standing.filter(({ kind }) => kind === "dosed").length;
  return {
    agents,
    agent,
    dosing,
    corridor,
    tuning,
    out,
    before,
    // Of a batch of another size, so much of it as falls to this one.
    earlierGrams: earlier === null ? 0 : ((before?.rows.at(-1)?.totalGrams ?? 0) * plan.formula.batchGrams) / earlier.batchGrams,
    advice,
    sampleAdvice,
    weaker,
    mustRead,
    isThere: advice?.state === "in-target" && out === null && !mustRead,
    offer: advice === null || out !== null || advice.recommend.agent !== "agent" ? null : sampleFirst(advice, tuning.leftGrams, doses),
    curve: tuning.titration === null || advice === null ? [] : curveInGrams(tuning.titration, advice.bufferCurve, tuning.leftGrams),
    predicted: usePredicted(advice, view.standing),
    onMaybe,
  };
}

/** A dose this near to the advised one brings about what was said of it, as a part of it. */
const AS_ADVISED = 0.2;

/** Where the advice said that the last dose would bring the pH; null where another dose went in, or the page was loaded since. */
function usePredicted(advice: TitrationAdvice | null, standing: readonly BatchEntry[]) {
  const said = useRef<TitrationAdvice["recommend"] | null>(null);
  useEffect(() => {
    if (advice !== null) said.current = advice.recommend;
  }, [advice]);
  const dose = standing.findLast(({ kind }) => kind === "dosed");
  const { grams = 0, expectedPhLow: low = 0, expectedPhHigh: high = 0 } = said.current ?? {};
  const isAsAdvised = dose?.kind === "dosed" && grams > 0 && Math.abs(dose.grams / grams - 1) <= AS_ADVISED;
  return isAsAdvised ? { low, high } : null;
}

function earlierOf(before: PhTuning | null): readonly Titration[] {
  return before?.titration == null ? [] : [before.titration];
}

/** The titration with a reading that has not been taken yet; null where there is none. */
function aheadOf(
  plan: BatchPlan,
  standing: readonly BatchEntry[],
  step: string,
  { maybe, agent, counterAgent }: { readonly maybe: MaybeRead | null; readonly agent: BenchAgent; readonly counterAgent: BenchAgent },
): Titration | null {
  if (maybe === null) return null;
  const entry: BatchEntry = { id: "ahead", at: "", kind: "ph-read", step, ...maybe };
  return phTuning(plan, { standing: [...standing, entry] }, { agent, counterAgent }).titration;
}

function sizedPlan(plan: BatchPlan, batchGrams: number): BatchPlan {
  return { ...plan, formula: { ...plan.formula, batchGrams } };
}
