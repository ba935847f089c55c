import { resolveLines } from "@tensidrum/core/formula";
import { rawPhPlan, type BatchPlan, type BenchAgent, type PhTuning } from "@tensidrum/core/process";
import { written, writtenMass } from "@tensidrum/core/quantities";
import { useMemo } from "react";
import { useBench } from "../bench";
import classes from "./Tuning.module.css";

interface PhHeadProps {
  readonly tuning: PhTuning;
  readonly agent: BenchAgent;
  /** What the last batch of this version took, g for this size; 0 for none. */
  readonly earlierGrams: number;
  /** Advised now of the main solution, g; 0 for nothing. */
  readonly nextGrams: number;
}

/** Beyond the plan by so much of it, a dose is explained. */
const BEYOND_PLAN = 0.02;

/** Where the pH belongs and is, what went in so far, and what the version plans. */
export function PhHead({ tuning, agent, earlierGrams, nextGrams }: PhHeadProps) {
  const { plan } = useBench();
  const { corridor, rows, dosedGrams } = tuning;
  const last = rows.at(-1);
  const planned = plannedGrams(plan, agent);
  const isBeyond = planned !== null && nextGrams > 0 && dosedGrams + nextGrams > planned * (1 + BEYOND_PLAN);
  const isUnread = last === undefined;
  const raw = useMemo(
    () => (isUnread ? rawPhPlan(resolveLines(plan.formula, plan.materials).sheet, corridor, plan.formula.batchGrams) : null),
    [isUnread, plan, corridor],
  );
  return (
    <>
      <p className={classes.head}>
        <strong>
          belongs between {corridor.low} and {corridor.high}
        </strong>
        {last !== undefined && (
          <span>
            {written(last.ph, 2)} {tuning.isDosedSince ? "before this dose" : "now"}
          </span>
        )}
        <span>left in the beaker {written(tuning.leftGrams, 1)} g</span>
        {last !== undefined && <span>{againstPlanWords(dosedGrams, planned, earlierGrams, agent)}</span>}
        {tuning.samplesGrams > 0 && <span>samples taken {written(tuning.samplesGrams, 1)} g</span>}
      </p>
      {raw !== null && (
        <p className={classes.hint}>
          Estimated from its lines it stands at about pH {written(raw.forecast.ph, 1)} ({written(raw.forecast.low, 1)} to{" "}
          {written(raw.forecast.high, 1)}).
          {raw.dose !== null && ` About ${writtenMass(raw.dose.grams.typical)} of ${raw.dose.name} would bring it in.`} The first reading
          decides.
        </p>
      )}
      {isBeyond && (
        <p className={classes.hint}>
          With this dose it is more than the {written(planned, 2)} g the version plans. The plan was a guess before any reading; the reading
          decides.
        </p>
      )}
    </>
  );
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
  ].filter((one) => one !== "");
  return `${written(soFar, 2)} g of ${agent.name} so far${of.length > 0 ? `, ${of.join(", ")}` : ""}`;
}
