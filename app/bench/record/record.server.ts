import { batchResult, sumsAsMade, type BatchEntry } from "@tensidrum/core/process";
import { Refusal } from "@tensidrum/core/quantities";
import { currentMakerId, database } from "../../../db/workplace.server";
import { findPhoto } from "../../../db/batches/queries.server";
import { listPatchTests } from "../../../db/patchTests/queries.server";
import { listBlindTestsOf, listChecks, listLather } from "../../../db/watch/queries.server";
import { stateOfView } from "../batch/batchView";
import { storedBatch, viewBatch } from "../batch/stored.server";
import { readLastWords } from "./accountWords";
import { batchCostWords } from "./batchCost.server";
import { filledWords, logOf } from "./logOf";
import { pairsOf } from "./pairsOf";
import { here, writtenMoment } from "../../frame/dates.server";
import { fileAnswer } from "../../frame/fileAnswer.server";
import { photoAnswer } from "../../frame/photo.server";

/** The record of a batch: what was weighed, the sums of it, and everything that happened, in order. */
export async function openRecord(batchId: string) {
  const { sent, plan, entries, view } = await viewBatch(batchId);
  const vesselName = (vessel: string): string => view.vessels.find(({ id }) => id === vessel)?.name ?? vessel;
  return {
    id: view.id,
    code: view.code,
    formulaId: view.formulaId,
    name: view.name,
    batch: view.batch,
    decimals: view.decimals,
    started: writtenMoment(sent.started),
    finished:
      view.finished === null
        ? null
        : {
            at: writtenMoment(view.finished.at),
            yieldGrams: view.finished.yieldGrams,
            isDiscarded: view.finished.isDiscarded,
          },
    lines: view.lines.map(({ line, name, lots, targetGrams, actualGrams, decimals, deviation, isSimulated }) => {
      return {
        line,
        name,
        targetGrams,
        actualGrams,
        decimals,
        isSimulated,
        lots: lots.map(({ code }) => code),
        percent:
          deviation?.percent ?? (actualGrams === null || targetGrams <= 0 ? null : (100 * (actualGrams - targetGrams)) / targetGrams),
      };
    }),
    account: view.account,
    besides: view.account.besides.map((beside) => ({
      ...beside,
      isSimulated: view.standing.some(
        (entry) => nameOfDose(entry) === beside.name && "readOff" in entry && entry.readOff === "simulated scale",
      ),
    })),
    cost: await batchCostWords(view, plan, entries),
    filled: view.standing.flatMap((entry) => (entry.kind === "filled" ? [filledWords(entry)] : [])),
    pairs: pairsOf(view),
    readLast: readLastWords(batchResult(plan, entries)),
    sums: sumsAsMade(plan, stateOfView(view)),
    steps: view.steps.map(({ step, state, reason }) => ({ id: step.id, title: step.title, state, reason })),
    tares: [...view.tares].map(([vessel, grams]) => ({ vessel: vesselName(vessel), grams })),
    log: logOf(view, entries).map(({ at, ...row }) => ({ ...row, at: here(at).format("D MMM, HH:mm:ss") })),
    photos: view.standing.flatMap((entry) =>
      entry.kind === "photographed"
        ? [
            {
              id: entry.photo,
              at: here(entry.at).format("D MMM, HH:mm"),
              step: view.steps.find(({ step }) => step.id === entry.step)?.step.title ?? null,
              entry: entry.id,
            },
          ]
        : [],
    ),
  };
}

/** What an entry put in beside the lines, by name; null for none. */
function nameOfDose(entry: BatchEntry): string | null {
  if (entry.kind === "dosed" || entry.kind === "sample-dosed") return entry.agent.name;
  return entry.kind === "salted" ? entry.salt.name : null;
}

export type OpenRecord = Awaited<ReturnType<typeof openRecord>>;

/** The record of a batch as a tensidrum-batch/1 file. */
export async function batchFile(batchId: string): Promise<Response> {
  const [db, makerId] = [database(), currentMakerId()];
  const [{ batch, entries, lots }, looks, tests, blind, patches] = await Promise.all([
    storedBatch(batchId),
    listChecks(db, makerId, batchId),
    listLather(db, makerId, batchId),
    listBlindTestsOf(db, makerId, batchId),
    listPatchTests(db, makerId, batchId),
  ]);
  const file = {
    format: "tensidrum-batch/1",
    code: batch.code,
    coreVersion: batch.coreVersion,
    startedAt: batch.startedAt.toISOString(),
    finishedAt: batch.finishedAt?.toISOString() ?? null,
    formula: batch.formula,
    lots: lots.map(({ line, code, grams }) => ({ line, code, grams })),
    entries: entries.map(({ entry }) => entry),
    checks: looks.map((look) => ({
      ...pick(look, [
        "storage",
        "ph",
        "viscosity",
        "said",
        "clarity",
        "colour",
        "smell",
        "sedimentMm",
        "hazePercent",
        "roomC",
        "signs",
        "note",
      ]),
      at: look.lookedAt.toISOString(),
      lab: look.labL === null || look.labA === null || look.labB === null ? null : { l: look.labL, a: look.labA, b: look.labB },
    })),
    lather: tests.map((test) => ({
      ...pick(test, ["way", "atOnceMm", "afterOneMinuteMm", "afterFiveMinutesMm", "bubbles", "latherSeconds", "rinseSeconds"]),
      ...pick(test, ["foamGrams", "foamMillilitres", "slip", "rinse", "afterFeel", "scent", "note"]),
      at: test.testedAt.toISOString(),
    })),
    blindTests: blind.map(({ kind, question, begunAt, firstBatchId, sheets }) => ({
      ...{ kind, question, begunAt: begunAt.toISOString(), thisIs: firstBatchId === batchId ? "A" : "B" },
      sheets: sheets.map((sheet) => pick(sheet, ["tester", "codes", "cups", "chosen", "ratings", "note"])),
    })),
    patchTests: patches.map(({ tester, putOnAt, lookedAt, seen, note }) => ({
      ...{ tester, putOnAt: putOnAt.toISOString(), lookedAt: lookedAt?.toISOString() ?? null, seen, note },
    })),
  };
  return fileAnswer(`${JSON.stringify(file, null, 2)}\n`, { type: "application/json; charset=utf-8", name: `${batch.code}.json` });
}

function pick<Row extends object, const Key extends keyof Row>(row: Row, keys: readonly Key[]): Pick<Row, Key> {
  return Object.fromEntries(keys.map((key) => [key, row[key]])) as Pick<Row, Key>;
}

/** One picture of a batch. It never changes under its address. */
export async function photoOf(batchId: string, photoId: string): Promise<Response> {
  const photo = await findPhoto(database(), currentMakerId(), { batchId, photoId });
  if (photo === undefined) throw new Refusal("not-found", "This photo is not in the record.", "Go back to the record.");
  return photoAnswer(photo.picture);
}
