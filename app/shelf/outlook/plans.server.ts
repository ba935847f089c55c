import { isCalendarDay, readMassGrams, Refusal } from "@tensidrum/core/quantities";
import { brokenConstraint } from "../../../db/failures.server";
import { dropPlan, movePlan, planBatchOn } from "../../../db/planning/queries.server";
import { currentMakerId, database } from "../../../db/workplace.server";
import type { FieldProblem } from "../../frame/formAnswer";
import type { TypedPlan } from "./outlookForms.server";

const WRITE_A_DAY = "Write the day as year, month, day: 2027-03-31.";

/** Plans a batch, moves it to another day or drops it. Answers what is wrong. */
export async function changePlans(typed: TypedPlan): Promise<readonly FieldProblem[]> {
  const [db, makerId] = [database(), currentMakerId()];
  if (typed.intent === "drop") {
    mustBe(await dropPlan(db, makerId, typed.id));
    return [];
  }
  const dayProblems = isCalendarDay(typed.on) ? [] : [{ field: "on", message: WRITE_A_DAY }];
  if (typed.intent === "move") {
    if (dayProblems.length === 0) mustBe(await movePlan(db, makerId, typed.id, typed.on));
    return dayProblems;
  }
  const grams = readMassGrams(typed.grams);
  const problems = [
    ...(typed.version === "" ? [{ field: "version", message: "Choose what is to be made." }] : []),
    ...dayProblems,
    ...(grams.ok && grams.value > 0 ? [] : [{ field: "grams", message: "Give the size of the batch: 600 g, 1.2 kg." }]),
  ];
  if (problems.length > 0 || !grams.ok) return problems;
  try {
    await planBatchOn(db, makerId, { id: typed.id, versionId: typed.version, plannedOn: typed.on, grams: grams.value, note: typed.note });
  } catch (error) {
    if (brokenConstraint(error) !== "missing") throw error;
    return [{ field: "version", message: "This version is not there any more. Choose another." }];
  }
  return [];
}

function mustBe(isThere: boolean): void {
  if (!isThere) throw new Refusal("not-found", "This plan is not there any more.", "Load the page again.");
}
