import {
  agentsOf,
  aimedThickness,
  hydrating,
  phTuning,
  practiceScore,
  saltsOf,
  thicknessTuning,
  trueCurve,
  trueDoseGrams,
  truthAfter,
  tunedCorridor,
  type BatchEntry,
  type SimulatedBatch,
} from "@tensidrum/core/process";
import { written } from "@tensidrum/core/quantities";
import { drawnCurveOf, thicknessWord, viscosityAt } from "@tensidrum/core/rheology";
import { useMemo } from "react";
import { SaltCurvePicture } from "../../pictures/SaltCurve/SaltCurve";
import { Stair } from "../../pictures/Stair/Stair";
import { useSimulatedBatch } from "../instruments/useInstruments";
import type { BatchHere } from "../queue/useBatchHere";
import type { KeptPractice } from "./keptPractice";
import type { KeptRun } from "./keptRun";
import { useKeptRuns } from "./useKeptRuns";
import { FormError } from "../../components/FormError";
import { BoxButton } from "../step/BoxButton";
import classes from "./Practice.module.css";
import { partWords } from "./partWords";
import type { PracticeHere } from "./usePractice";
import { DataTable } from "../../components/DataTable";

interface PracticeResultProps {
  readonly wanted: { readonly formulaId: string; readonly number: number };
  readonly kept: KeptPractice;
  readonly practice: PracticeHere;
  readonly runs: readonly KeptRun[];
  readonly onKept: (runs: readonly KeptRun[]) => void;
}

/** The end of a practice run: what was hidden beside what was done, and how well it went. */
export function PracticeResult({ wanted, kept: { id, seed }, practice: { here, again }, runs, onKept }: PracticeResultProps) {
  const { view, plan } = here;
  const { standing } = view;
  const hidden = useSimulatedBatch(plan, seed, here.saltSamples)();
  const score = useMemo(() => practiceScore(hidden, plan, standing), [hidden, plan, standing]);
  const keepAgain = useKeptRuns(runs, onKept, { ...wanted, id, seed, entries: standing });
  const corridor = tunedCorridor(plan);
  const { readings, agent, curve, oneDose } = usePhTruth(here, hidden);
  const saltCurve = useMemo(() => saltTruth(here, hidden), [here, hidden]);
  const stillSwelling = hydrating(plan, { standing }, standing.at(-1)?.at ?? "")[0];
  return (
    <div className={classes.result}>
      <section className={classes.score} aria-labelledby="score-head">
        <h2 id="score-head">Practice run</h2>
        <output aria-label="Score of 100">
          {score.points}
          <small>of 100</small>
        </output>
        <DataTable>
          <caption className="only-for-readers">What the score is made of</caption>
          <tbody>
            {score.parts.map((part) => (
              <tr key={part.what}>
                <th scope="row">{partWords(part, { corridor, target: aimedThickness(plan), reachable: score.wantedPascalSeconds })}</th>
                <td>
                  {written(part.points, 0)} <span>of {written(part.of, 0)}</span>
                </td>
              </tr>
            ))}
          </tbody>
        </DataTable>
        {score.earlyReadings > 0 && (
          <p>
            {score.earlyReadings === 1 ? "One reading was" : `${score.earlyReadings} readings were`} taken before the rest was over: it told
            of a batch that was still on its way.
          </p>
        )}
        <div className={classes.acts}>
          <BoxButton data-act="Practise with the same simulated batch again" onClick={() => again(true)}>
            The same batch again
          </BoxButton>
          <BoxButton data-act="Practise with a new simulated batch" onClick={() => again(false)}>
            New simulated batch
          </BoxButton>
        </div>
        {keepAgain !== null && (
          <FormError>
            The score could not be kept yet.{" "}
            <BoxButton data-act="Keep the score" onClick={keepAgain}>
              Keep it now
            </BoxButton>
          </FormError>
        )}
        {runs.length > 1 && (
          <>
            <h3>All practice runs of this version</h3>
            <ol>
              {runs.map((run) => (
                <li key={run.id}>
                  <strong>{run.points}</strong> of 100, {run.doses} {run.doses === 1 ? "dose" : "doses"}, {written(run.minutes, 0)} min,{" "}
                  {run.when}
                  {run.seed === seed && run.id !== id && ", the same batch"}
                </li>
              ))}
            </ol>
          </>
        )}
      </section>
      <section aria-labelledby="truth-head" className={classes.truth}>
        <h2 id="truth-head">True values</h2>
        <p>
          Drawn as batches are: lists of materials may be off by a factor or lack a site, salt from materials may be told wrongly, a base
          may hardly answer to salt, and a meter may be off.
        </p>
        {readings.length > 0 && (
          <>
            <h3>pH</h3>
            <p>
              It began at a true pH of {written(hidden.startPh, 2)} and ended at <strong>{written(score.finalPh, 2)}</strong>. One dose of{" "}
              {written(oneDose, 2)} g {agent.name} at the start would have brought it to {written((corridor.low + corridor.high) / 2, 2)}.
              The meter was {meterWords(hidden.meter, standing)}.
            </p>
            <Stair agent={agent.name} band={corridor} readings={readings} curve={[]} truth={curve} expected={null} />
          </>
        )}
        {saltCurve !== null && (
          <>
            <h3>Thickness</h3>
            <p>
              It ended at <strong>{written(score.finalPascalSeconds, 2)} Pa·s</strong>, {thicknessWord(score.finalPascalSeconds)}. The salt
              curve was thickest at {written(hidden.saltCurve.peakSaltPercent, 2)} % salt, with{" "}
              {written(viscosityAt(hidden.saltCurve, hidden.saltCurve.peakSaltPercent), 2)} Pa·s.
              {stillSwelling !== undefined && " A practice run leaves out what swells for a day."}
            </p>
            <SaltCurvePicture unit="Pa·s" {...saltCurve} />
          </>
        )}
      </section>
    </div>
  );
}

/** The readings of a practice batch over the true curve of the solution that was mostly used. */
function usePhTruth({ plan, view }: BatchHere, hidden: SimulatedBatch) {
  const { standing } = view;
  return useMemo(() => {
    const corridor = tunedCorridor(plan);
    const isFromAbove = hidden.startPh > corridor.high;
    const agents = agentsOf(plan, standing);
    const kind = isFromAbove ? "acid" : "base";
    const used = standing.find((entry) => entry.kind === "dosed" && entry.agent.kind === kind);
    const agent =
      agents.find((one) => used?.kind === "dosed" && one.name === used.agent.name) ?? agents.find((one) => one.kind === kind) ?? agents[0]!;
    const counterAgent = agents.find((one) => one.kind !== agent.kind) ?? null;
    const tuning = phTuning(plan, { standing }, { agent, counterAgent });
    const readings = tuning.rows.map(({ totalGrams, ph }) => ({ grams: totalGrams, ph }));
    const first = standing.findIndex((entry) => entry.kind === "ph-read");
    const batchGrams = truthAfter(hidden, plan, standing.slice(0, first + 1), null).leftGrams;
    const toPh = isFromAbove
      ? Math.min(corridor.low, ...readings.map(({ ph }) => ph)) - 0.2
      : Math.max(corridor.high, ...readings.map(({ ph }) => ph)) + 0.2;
    const ph = (corridor.low + corridor.high) / 2;
    return {
      readings,
      agent,
      curve: trueCurve(hidden, agent, { batchGrams, toPh }),
      oneDose: trueDoseGrams(hidden, agent, { batchGrams, ph }),
    };
  }, [plan, standing, hidden]);
}

const AROUND_PERCENT = 0.4;

/** The way of a practice batch up its true salt curve; null where nothing was read. */
function saltTruth({ plan, view: { standing } }: BatchHere, hidden: SimulatedBatch) {
  const [salt] = saltsOf(plan);
  if (salt === undefined || !plan.steps.some(({ tunes }) => tunes === "thickness")) return null;
  const { rows, target } = thicknessTuning(plan, { standing }, { salt, wanted: null });
  if (rows.length === 0) return null;
  const salts = rows.map(({ saltPercent }) => saltPercent);
  const to = Math.max(...salts, hidden.saltCurve.peakSaltPercent) + AROUND_PERCENT;
  return { readings: rows, target, saltCurve: drawnCurveOf(hidden.saltCurve, { from: Math.min(...salts), to }), expected: null };
}

function meterWords(
  { offsetPh, slopePercent }: { readonly offsetPh: number; readonly slopePercent: number },
  standing: readonly BatchEntry[],
): string {
  const off = `${written(Math.abs(offsetPh), 2)} pH too ${offsetPh >= 0 ? "high" : "low"} at 7, its slope ${written(slopePercent, 0)} %`;
  const calibrated = standing.findIndex(({ kind }) => kind === "calibrated");
  const first = standing.findIndex(({ kind }) => kind === "ph-read");
  if (calibrated === -1) return `${off}, and nobody set it right`;
  return `${off}, until it was calibrated${first !== -1 && first < calibrated ? ", after the first reading" : ""}`;
}
