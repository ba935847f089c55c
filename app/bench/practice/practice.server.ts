import { currentMakerId, database } from "../../../db/workplace.server";
import { Refusal } from "@tensidrum/core/quantities";
import { planBatch, stepsOf, surfactantBaseOf } from "@tensidrum/core/process";
import { formulaOfVersion } from "../../../db/formulas/formulaOfVersion.server";
import type { SentBatch } from "../batch/sentBatch";
import { shelfFor } from "../batch/shelfFor.server";
import { measuringBy } from "../batch/stored.server";

/** Without a draft's size. */
const USUAL_GRAMS = 500;

/**
 * A version as a batch that is only played. Nothing of it is ever stored: it has no code, takes from no lot, and no route
 * takes an entry of it.
 */
export async function openPractice(wanted: { readonly formulaId: string; readonly number: number }): Promise<SentBatch> {
  const { formula, materials } = await formulaOfVersion(database(), currentMakerId(), wanted);
  if (formula.lines.length === 0) {
    throw new Refusal(
      "not-possible",
      "This version has no lines yet.",
      "Give it materials on its Sheet first; then you can practise with it.",
    );
  }
  const batchGrams = formula.batchGrams > 0 ? formula.batchGrams : USUAL_GRAMS;
  const plan = planBatch(formula, batchGrams, materials);
  const now = new Date().toISOString();
  return {
    id: `practice-${wanted.formulaId}-${wanted.number}`,
    code: "practice run",
    formulaId: null,
    formula: { ...plan.formula, materials: [...materials.values()] },
    steps: plan.steps,
    vessels: stepsOf(plan.formula, materials).vessels,
    ...{ lots: [], entries: [], position: 0, earlier: null, started: now, now },
    shelf: { ...(await shelfFor([])), lots: [] },
    ...(await measuringBy(surfactantBaseOf(plan))),
  };
}
