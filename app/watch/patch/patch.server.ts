import { shownFormulaName } from "@tensidrum/core/formula";
import { patchHoursLeft } from "@tensidrum/core/stability";
import { readNumber, Refusal } from "@tensidrum/core/quantities";
import { findBatch } from "../../../db/batches/queries.server";
import { beginPatchTest, judgePatchTest, listPatchTests } from "../../../db/patchTests/queries.server";
import { currentMakerId, database } from "../../../db/workplace.server";
import { writtenMoment } from "../../frame/dates.server";
import type { FieldProblem } from "../../frame/formAnswer";
import type { TypedPatch } from "./patchForms.server";

const MOST_TESTERS = 999;

async function batchOf(batchId: string) {
  const batch = await findBatch(database(), currentMakerId(), batchId);
  if (batch === undefined) throw new Refusal("not-found", "This batch is not here.", "Go to Watch and look for it there.");
  return batch;
}

/** The patch tests of a batch: those that wait for their day, and what was seen under the others. */
export async function openPatchTests(batchId: string) {
  const [batch, rows] = await Promise.all([batchOf(batchId), listPatchTests(database(), currentMakerId(), batchId)]);
  return {
    id: batchId,
    newId: crypto.randomUUID(),
    code: batch.code,
    name: shownFormulaName(batch.formula.name),
    nextTester: Math.min(MOST_TESTERS, Math.max(0, ...rows.map(({ tester }) => tester)) + 1),
    tests: rows.map(({ id, tester, putOnAt, lookedAt, seen, note }) => ({
      ...{ id, tester, seen, note, putOn: writtenMoment(putOnAt) },
      looked: lookedAt === null ? null : writtenMoment(lookedAt),
      hoursLeft: Math.ceil(patchHoursLeft(putOnAt.getTime(), Date.now())),
    })),
    isReacted: rows.some(({ seen }) => seen !== null && seen !== "nothing"),
  };
}

export type OpenPatchTests = Awaited<ReturnType<typeof openPatchTests>>;

/** Puts a patch on or judges it. A reaction may be judged at any hour, that there is none only after a day. */
export async function changePatch(batchId: string, { intent, id, tester, seen, note }: TypedPatch): Promise<readonly FieldProblem[]> {
  const [db, makerId] = [database(), currentMakerId()];
  await batchOf(batchId);
  if (intent === "begin") {
    const read = readNumber(tester);
    if (!read.ok || !Number.isInteger(read.value) || read.value < 1 || read.value > MOST_TESTERS) {
      return [{ field: "tester", message: "Give the tester a whole number from 1; no names are kept." }];
    }
    await beginPatchTest(db, makerId, { id, batchId, tester: read.value, putOnAt: new Date() });
    return [];
  }
  if (seen === "") return [{ field: "seen", message: "Say what is seen under the patch." }];
  const test = (await listPatchTests(db, makerId, batchId)).find((one) => one.id === id);
  if (test === undefined) throw new Refusal("not-found", "This patch is not of this batch.", "Load the page again.");
  const left = Math.ceil(patchHoursLeft(test.putOnAt.getTime(), Date.now()));
  if (seen === "nothing" && left > 0) {
    return [
      { field: "seen", message: `That there is nothing can be told in ${left} h, after a day. Anything that stings comes off at once.` },
    ];
  }
  const isThere = await judgePatchTest(db, makerId, id, { lookedAt: new Date(), seen, note });
  if (!isThere) throw new Refusal("not-possible", "This patch was judged already.", "Load the page again.");
  return [];
}
