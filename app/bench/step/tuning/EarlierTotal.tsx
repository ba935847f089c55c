import { startingDoseGrams } from "@tensidrum/core/acidity";
import type { BenchAgent, PhTuning, Step } from "@tensidrum/core/process";
import { written } from "@tensidrum/core/quantities";
import { BigButton } from "../BigButton";
import { Entry } from "../Entry";
import classes from "./Tuning.module.css";

interface EarlierTotalProps {
  readonly code: string;
  readonly before: PhTuning;
  readonly agent: BenchAgent;
  readonly batchGrams: number;
  readonly earlierGrams: number;
  readonly due: Step;
}

/** What the last batch of this version took in all: nine tenths of it can go in at once. */
export function EarlierTotal({ code, before, agent, batchGrams, earlierGrams, due }: EarlierTotalProps) {
  const totalGrams = before.rows.at(-1)?.totalGrams ?? 0;
  if (totalGrams <= 0) return null;
  const start = startingDoseGrams(
    { totalGrams, batchGrams: earlierGrams, strengthPercent: agent.strengthPercent },
    batchGrams,
    agent.strengthPercent,
  );
  return (
    <Entry hidden={{ step: due.id, agent: agent.name, grams: start.toFixed(2) }} className={classes.again}>
      <p>
        {code} took {written(totalGrams, 2)} g of {agent.name} in {written(earlierGrams, 0)} g. Nine tenths of that can go in at once, where
        materials and lots are the same.
      </p>
      <BigButton intent="dose" act="Start with nine tenths of the last total">
        Dosed {written(start, 2)} g at once
      </BigButton>
    </Entry>
  );
}
