import type { Step } from "@tensidrum/core/process";
import { written } from "@tensidrum/core/quantities";
import { useState } from "react";
import { Stair } from "../../../pictures/Stair/Stair";
import { useBench } from "../bench";
import { BigButton } from "../BigButton";
import { Entry } from "../Entry";
import step from "../Step.module.css";
import { AgentChoice } from "./AgentChoice";
import { DoseAnyway } from "./DoseAnyway";
import { Drops } from "./Drops";
import { EarlierTotal } from "./EarlierTotal";
import { InHand, type InHandOf } from "./InHand";
import { Meter } from "./Meter";
import { OwnTarget } from "./OwnTarget";
import { PhAdvice } from "./PhAdvice";
import { PhHead } from "./PhHead";
import { PourBack } from "./PourBack";
import { ReadAgain } from "./ReadAgain";
import { ReadPh } from "./ReadPh";
import { Readings } from "./Readings";
import { SampleOffer } from "./SampleOffer";
import { hasTold, SampleTuning } from "./SampleTuning";
import classes from "./Tuning.module.css";
import { usePhTuning } from "./usePhTuning";
import { WeakerOffer } from "./WeakerOffer";

/** The pH of the batch, brought where it belongs by reading, dosing a little, waiting, and reading again. */
export function TunePh({ step: due }: { readonly step: Step }) {
  const { plan, earlier } = useBench();
  const tuned = usePhTuning(due);
  const { agents, agent, dosing, corridor, tuning, out, before, advice, sampleAdvice, weaker, mustRead, isThere, offer } = tuned;
  const { sample } = tuning;
  const { picked } = agents;
  const [hand, setHand] = useState<InHandOf | null>(null);
  const inHand = out === null || sample === null ? "batch" : (hand ?? (hasTold(sampleAdvice) ? "batch" : "sample"));
  const last = tuning.rows.at(-1);
  const next = advice !== null && advice.recommend.grams > 0 && advice.recommend.agent === "agent" ? advice.recommend : null;
  return (
    <>
      <PhHead tuning={tuning} agent={agent} earlierGrams={tuned.earlierGrams} nextGrams={next?.grams ?? 0} />
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
            <ReadPh due={due} tuning={tuning} isFirst={last === undefined} predicted={tuned.predicted} onMaybe={tuned.onMaybe} />
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
              <PhAdvice advice={advice} agents={[agents.acid, agents.base]} main={agent} due={due} />
              {advice !== null && advice.recommend.grams <= 0 && (
                <DoseAnyway agents={agents.all} chosen={dosing} due={due} onUse={agents.choose} />
              )}
              {weaker !== null && agents.isChosen(weaker.agent.kind) && (
                <WeakerOffer
                  offer={weaker}
                  dose={{ name: dosing.name, grams: advice?.recommend.grams ?? 0 }}
                  use={{ name: weaker.agent.name, onUse: () => agents.choose(weaker.agent) }}
                />
              )}
              {picked !== null && advice?.state === "dose" && (
                <WeakerOffer
                  offer={picked.offer}
                  dose={picked.instead}
                  use={{ name: picked.instead.name, onUse: () => agents.choose({ kind: picked.offer.agent.kind, ...picked.instead }) }}
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
              curve={tuned.curve}
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
      <AgentChoice agents={agents} />
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
