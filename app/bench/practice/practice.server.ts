import { Refusal } from "@tensidrum/core/quantities";
import {
  planBatch,
  practiceScore,
  simulatedBatch,
  stepsOf,
  surfactantBaseOf,
  type BatchEntry,
  type BatchPlan,
  type SimulatedBatch,
} from "@tensidrum/core/process";
import { findVersion } from "../../../db/formulas/queries.server";
import { formulaOfVersion } from "../../../db/formulas/formulaOfVersion.server";
import { keepPracticeRun, listPracticeRuns } from "../../../db/practice/queries.server";
import { currentMakerId, database, rightNow } from "../../../db/workplace.server";
import { writtenMoment } from "../../frame/dates.server";
import { seedOf } from "../../frame/instruments/seedOf";
import type { SentBatch } from "../batch/sentBatch";
import { shelfFor } from "../batch/shelfFor.server";
import { measuringBy } from "../batch/stored.server";
import type { KeptRun } from "./keptRun";

/** Without a draft's size. */
const USUAL_GRAMS = 500;
const MOST_RUNS = 10;

interface Wanted {
  readonly formulaId: string;
  readonly number: number;
}

async function practised(wanted: Wanted) {
  const { formula, materials } = await formulaOfVersion(database(), currentMakerId(), wanted);
  if (formula.lines.length === 0) {
    throw new Refusal(
      "not-possible",
      "This version has no lines yet.",
      "Give it materials on its Sheet first; then you can practise with it.",
    );
  }
  const plan = planBatch(formula, formula.batchGrams > 0 ? formula.batchGrams : USUAL_GRAMS, materials);
  return { plan, materials, measuring: await measuringBy(surfactantBaseOf(plan)) };
}

/** How a version is made when it is only played, and the batch that is hidden behind the instruments. */
export async function drawnPractice(wanted: Wanted, seed: string): Promise<{ readonly plan: BatchPlan; readonly hidden: SimulatedBatch }> {
  const { plan, measuring } = await practised(wanted);
  return { plan, hidden: simulatedBatch(plan, seedOf(seed), measuring.saltSamples) };
}

/** A version as a batch that is only played: it has no code, takes from no lot, and no route takes an entry of it. */
export async function openPractice(wanted: Wanted): Promise<{ readonly sent: SentBatch; readonly runs: readonly KeptRun[] }> {
  const { plan, materials, measuring } = await practised(wanted);
  const now = rightNow().toISOString();
  const sent = {
    id: `practice-${wanted.formulaId}-${wanted.number}`,
    code: "practice run",
    formulaId: null,
    formula: { ...plan.formula, materials: [...materials.values()] },
    steps: plan.steps,
    vessels: stepsOf(plan.formula, materials).vessels,
    ...{ lots: [], entries: [], position: 0, earlier: null, started: now, now },
    shelf: { ...(await shelfFor([])), lots: [] },
    ...measuring,
  };
  return { sent, runs: await practiceRunsOf(wanted) };
}

/** How the practice runs of a version came out, the newest first. */
export async function practiceRunsOf(wanted: Wanted): Promise<readonly KeptRun[]> {
  const runs = await listPracticeRuns(database(), currentMakerId(), wanted, MOST_RUNS);
  return runs.map(({ endedAt, ...run }) => ({ ...run, when: writtenMoment(endedAt) }));
}

/** Keeps how a practice run came out, judged here by what was entered. Answers all that are kept. */
export async function keepRun(wanted: Wanted, { id, seed, entries }: EndedRun): Promise<readonly KeptRun[]> {
  const { plan, hidden } = await drawnPractice(wanted, seed);
  const found = await findVersion(database(), currentMakerId(), wanted);
  const { points, doses, minutes } = practiceScore(hidden, plan, entries);
  const run = { id, seed, points, doses, minutes, endedAt: rightNow() };
  if (found !== undefined) await keepPracticeRun(database(), currentMakerId(), found.version.id, run);
  return practiceRunsOf(wanted);
}

/** A practice run that is over: what its hidden batch was drawn from, and what stands of its entries. */
export interface EndedRun {
  readonly id: string;
  readonly seed: string;
  readonly entries: readonly BatchEntry[];
}
