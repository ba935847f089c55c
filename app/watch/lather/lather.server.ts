import { shownFormulaName } from "@tensidrum/core/formula";
import { latherOf } from "@tensidrum/core/stability";
import { readNumber, Refusal } from "@tensidrum/core/quantities";
import { findBatch } from "../../../db/batches/queries.server";
import { keepLather, listLather } from "../../../db/watch/queries.server";
import { currentMakerId, database } from "../../../db/workplace.server";
import { writtenMoment } from "../../frame/dates.server";
import type { FieldProblem } from "../../frame/formAnswer";
import type { TypedLather } from "./latherForms.server";

const MOST_MM = 1000;

async function batchOf(batchId: string) {
  const batch = await findBatch(database(), currentMakerId(), batchId);
  if (batch === undefined) throw new Refusal("not-found", "This batch is not here.", "Go to Watch and look for it there.");
  return batch;
}

/** The shake tests of a batch with their mean and how far they lie apart. */
export async function openLather(batchId: string) {
  const batch = await batchOf(batchId);
  const rows = await listLather(database(), currentMakerId(), batchId);
  const tests = rows.map((row) => ({ ...row, ...latherOf(row), at: writtenMoment(row.testedAt) }));
  const meanOf = (of: (row: (typeof rows)[number]) => number): number => rows.reduce((sum, row) => sum + of(row), 0) / rows.length;
  const mean =
    rows.length === 0
      ? null
      : {
          atOnceMm: meanOf(({ atOnceMm }) => atOnceMm),
          afterOneMinuteMm: meanOf(({ afterOneMinuteMm }) => afterOneMinuteMm),
          afterFiveMinutesMm: meanOf(({ afterFiveMinutesMm }) => afterFiveMinutesMm),
        };
  const flashes = rows.map(({ atOnceMm }) => atOnceMm);
  return {
    id: batchId,
    newId: crypto.randomUUID(),
    code: batch.code,
    name: shownFormulaName(batch.formula.name),
    tests: tests.toReversed(),
    mean: mean === null ? null : { ...mean, ...latherOf(mean) },
    /** From the lowest to the highest flash; null for one test. */
    range: rows.length < 2 ? null : { low: Math.min(...flashes), high: Math.max(...flashes) },
  };
}

export type OpenLather = Awaited<ReturnType<typeof openLather>>;

/** Keeps a shake test, or says at which field it must be fixed. */
export async function keepTest(batchId: string, typed: TypedLather): Promise<readonly FieldProblem[]> {
  await batchOf(batchId);
  const problems: FieldProblem[] = [];
  const height = (field: "atOnce" | "oneMinute" | "fiveMinutes"): number => {
    const read = readNumber(typed[field].replace(/\s*mm\s*$/i, ""));
    if (read.ok && read.value >= 0 && read.value <= MOST_MM) return read.value;
    problems.push({ field, message: "Give the height of the foam in mm, at most that of the cylinder." });
    return 0;
  };
  const [atOnceMm, afterOneMinuteMm, afterFiveMinutesMm] = [height("atOnce"), height("oneMinute"), height("fiveMinutes")];
  if (problems.length > 0) return problems;
  if (afterOneMinuteMm > atOnceMm) return [{ field: "oneMinute", message: "Foam only falls: this is more than at once." }];
  if (afterFiveMinutesMm > afterOneMinuteMm)
    return [{ field: "fiveMinutes", message: "Foam only falls: this is more than after a minute." }];
  const felt = (word: string): number | null => (word === "" ? null : Number(word));
  const { id, bubbles, slip, rinse, afterFeel, note } = typed;
  await keepLather(database(), currentMakerId(), {
    ...{ id, batchId, testedAt: new Date(), atOnceMm, afterOneMinuteMm, afterFiveMinutesMm, bubbles, note },
    ...{ slip: felt(slip), rinse: felt(rinse), afterFeel: felt(afterFeel) },
  });
  return [];
}
