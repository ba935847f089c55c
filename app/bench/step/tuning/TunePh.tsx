import { NativeSelect } from "@mantine/core";
import {
  agentsOf,
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
import { finestFirst, written } from "@tensidrum/core/quantities";
import { useEffect, useMemo, useRef, useState } from "react";
import { Stair } from "../../../pictures/Stair/Stair";
import { useBench } from "../bench";
import { BigButton } from "../BigButton";
import { Entry } from "../Entry";
import step from "../Step.module.css";
import { EarlierTotal } from "./EarlierTotal";
import { PhAdvice } from "./PhAdvice";
import { DoseAnyway } from "./DoseAnyway";
import { Drops } from "./Drops";
import { InHand, type InHandOf } from "./InHand";
import { Meter } from "./Meter";
import { ReadAgain } from "./ReadAgain";
import { ReadPh, type MaybeRead } from "./ReadPh";
import { Readings } from "./Readings";
import { OwnTarget } from "./OwnTarget";
import { WeakerOffer } from "./WeakerOffer";
import { PourBack } from "./PourBack";
import { SampleOffer } from "./SampleOffer";
import { hasTold, SampleTuning } from "./SampleTuning";
import classes from "./Tuning.module.css";
import { usePhAdvice } from "./useAdvice";

/** The pH of the batch, brought where it belongs by reading, dosing a little, waiting, and reading again. */
export function TunePh({ step: due }: { readonly step: Step }) {
  const { view, plan, earlier } = useBench();
  const agents = useMemo(() => agentsOf(plan, view.standing), [plan, view.standing]);
  const [chosen, setChosen] = useState<{ readonly acid: string; readonly base: string }>({ acid: "", base: "" });
  const acid = agentNamed(agents, "acid", chosen.acid);
  const base = agentNamed(agents, "base", chosen.base);
  const [maybe, setMaybe] = useState<MaybeRead | null>(null);
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
  // Of a batch of another size, so much of it as falls to this one.
  const earlierGrams = earlier === null ? 0 : ((before?.rows.at(-1)?.totalGrams ?? 0) * plan.formula.batchGrams) / earlier.batchGrams;
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
  const [hand, setHand] = useState<InHandOf | null>(null);
  const inHand = out === null || sample === null ? "batch" : (hand ?? (hasTold(sampleAdvice) ? "batch" : "sample"));
  const curve = tuning.titration === null || advice === null ? [] : curveInGrams(tuning.titration, advice.bufferCurve, tuning.leftGrams);
  const last = tuning.rows.at(-1);
  const mustRead = due.code === "ph-again" && !view.standing.some((entry) => entry.kind === "ph-read" && entry.step === due.id);
  const isThere = advice?.state === "in-target" && out === null && !mustRead;
  const doses = view.standing.filter(({ kind }) => kind === "dosed").length;
  const offer = advice === null || out !== null || advice.recommend.agent !== "agent" ? null : sampleFirst(advice, tuning.leftGrams, doses);
  const weakerFor = advice?.recommend.agent === "counterAgent" ? counterAgent : agent;
  const weaker =
    advice === null
      ? null
      : weighableAgent({ agent: weakerFor, grams: advice.recommend.grams }, agents, {
          scaleStepGrams: finestFirst(plan.formula.scales)[0]?.readabilityGrams ?? 0.01,
          ph: middle,
          batchGrams: plan.formula.batchGrams,
        });
  const predicted = usePredicted(advice, view.standing);
  const next = advice !== null && advice.recommend.grams > 0 && advice.recommend.agent === "agent" ? advice.recommend : null;
  return (
    <>
      <p className={classes.head}>
        <strong>
          belongs between {corridor.low} and {corridor.high}
        </strong>
        {last !== undefined && <span>{written(last.ph, 2)} now</span>}
        <span>left in the beaker {written(tuning.leftGrams, 1)} g</span>
        {last !== undefined && <span>{againstPlanWords(last.totalGrams, plannedGrams(plan, agent), earlierGrams, agent)}</span>}
        {tuning.samplesGrams > 0 && <span>samples taken {written(tuning.samplesGrams, 1)} g</span>}
      </p>
      {corridor.isEmpty && (
        <p className={step.problem}>No pH suits all lines of this formula. The Sheet names the lines that exclude each other.</p>
      )}
      {out !== null && sample !== null && <InHand value={inHand} onChange={setHand} />}
      {inHand === "sample" && sample !== null ? (
        <SampleTuning sample={sample} advice={sampleAdvice} agent={agent} corridor={corridor} due={due} />
      ) : (
        <>
          {mustRead && <p className={step.do}>Thickening moves the pH: read it once more.</p>}
          {last === undefined || tuning.isDosedSince || mustRead ? (
            <ReadPh due={due} tuning={tuning} isFirst={last === undefined} predicted={predicted} onMaybe={setMaybe} />
          ) : (
            <>
              {tuning.rows.length === 1 && last.totalGrams === 0 && earlier !== null && before !== null && before.rows.length > 0 && (
                <EarlierTotal
                  code={earlier.code}
                  before={before}
                  agent={agent}
                  batchGrams={plan.formula.batchGrams}
                  earlierGrams={earlier.batchGrams}
                  due={due}
                />
              )}
              {out !== null && hasTold(sampleAdvice) && advice?.state === "dose" && (
                <p className={classes.hint}>The sample tells what the batch takes. It goes back once the batch is inside.</p>
              )}
              <PhAdvice advice={advice} agents={[acid, base]} main={agent} due={due} />
              {advice !== null && advice.recommend.grams <= 0 && (
                <DoseAnyway
                  agents={agents}
                  chosen={weakerFor}
                  due={due}
                  onUse={({ kind, name }) => setChosen({ ...chosen, [kind]: name })}
                />
              )}
              {weaker !== null && (
                <WeakerOffer
                  offer={weaker}
                  dose={{ name: weakerFor.name, grams: advice?.recommend.grams ?? 0 }}
                  onUse={() => setChosen({ ...chosen, [weaker.agent.kind]: weaker.agent.name })}
                />
              )}
              {offer !== null && <SampleOffer offer={offer} agent={agent} due={due} />}
            </>
          )}
          {tuning.rows.length > 0 && (
            <Stair
              agent={agent.name}
              band={corridor}
              readings={tuning.rows.map(({ totalGrams, ph }) => ({ grams: totalGrams, ph }))}
              curve={curve}
              expected={
                next === null || last === undefined
                  ? null
                  : { grams: last.totalGrams + next.grams, ph: next.expectedPh, low: next.expectedPhLow, high: next.expectedPhHigh }
              }
            />
          )}
          {last !== undefined && !tuning.isDosedSince && !mustRead && (
            <ReadAgain key={`${last.id} ${advice?.state ?? ""}`} isOpen={advice?.state === "reread"}>
              <ReadPh due={due} tuning={tuning} isFirst={false} isAgain />
            </ReadAgain>
          )}
        </>
      )}
      {out !== null && <PourBack sample={out} stepId={due.id} isDue={inHand === "batch" && advice?.state === "in-target"} />}
      <div className={classes.solutions}>
        {(["acid", "base"] as const).map((kind) => (
          <label key={kind}>
            {kind}{" "}
            <NativeSelect
              value={kind === "acid" ? acid.name : base.name}
              onChange={(event) => setChosen({ ...chosen, [kind]: event.currentTarget.value })}
            >
              {agentGroups(agents.filter((one) => one.kind === kind)).map(({ from, those }) => (
                <optgroup key={from} label={from}>
                  {those.map(({ name }) => (
                    <option key={name}>{name}</option>
                  ))}
                </optgroup>
              ))}
            </NativeSelect>
          </label>
        ))}
      </div>
      <OwnTarget key={`${corridor.low} ${corridor.high}`} due={due} target={corridor} />
      {tuning.rows.length > 0 && inHand === "batch" && <Readings tuning={tuning} />}
      {!mustRead && (
        <Entry
          hidden={{ step: due.id }}
          className={step.acts}
          ask={() =>
            out !== null
              ? `A sample of ${written(out.takenGrams, 1)} g is still aside. Go on without it?`
              : advice?.state === "in-target"
                ? null
                : "The pH is not known to be where it belongs yet. Is it right all the same?"
          }
        >
          <BigButton isLarge isMain={isThere} intent="done" act="The pH is right" actKey={isThere ? " " : undefined}>
            The pH is right, next step
          </BigButton>
        </Entry>
      )}
      <div className={classes.care}>
        <Meter />
        <Drops agent={agent} />
      </div>
    </>
  );
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

/** What the formula plans of a solution, g; null where it is not in it. */
function plannedGrams({ targets }: BatchPlan, { line }: BenchAgent): number | null {
  return line === null ? null : (targets.get(line) ?? null);
}

/** The dose so far against what the formula plans and what the last batch of the version took. */
function againstPlanWords(soFar: number, planned: number | null, earlier: number, agent: BenchAgent): string {
  const of = [
    planned === null ? "" : `of ${written(planned, 2)} planned`,
    earlier > 0 ? `the last batch took as much as ${written(earlier, 2)}` : "",
  ];
  return `${written(soFar, 2)} g of ${agent.name} so far${of.some((one) => one !== "") ? `, ${of.filter((one) => one !== "").join(", ")}` : ""}`;
}

/** Solutions by where they come from; what there is none of is left out. */
function agentGroups(agents: readonly BenchAgent[]) {
  const groups = [
    { from: "in the formula", those: agents.filter(({ line }) => line !== null) },
    { from: "on the shelf", those: agents.filter(({ lot }) => lot !== undefined) },
    { from: "usual strengths", those: agents.filter(({ line, lot }) => line === null && lot === undefined) },
  ];
  return groups.filter(({ those }) => those.length > 0);
}

function agentNamed(agents: readonly BenchAgent[], kind: "acid" | "base", name: string): BenchAgent {
  const found = agents.find((one) => one.kind === kind && one.name === name) ?? agents.find((one) => one.kind === kind);
  if (found === undefined) throw new Error(`no ${kind} at the bench`);
  return found;
}

function sizedPlan(plan: BatchPlan, batchGrams: number): BatchPlan {
  return { ...plan, formula: { ...plan.formula, batchGrams } };
}
