import { writtenMass } from "@tensidrum/core/quantities";
import { currentMakerId, database } from "../../db/workplace.server";
import { listBatchesUnderWay, listFinished } from "../../db/batches/queries.server";
import { shownFormulaName } from "@tensidrum/core/formula";
import { listMakeable } from "../../db/planning/queries.server";
import { restsNow } from "../frame/restingBatches.server";
import { viewBatch } from "./batch/stored.server";
import { askedFor, partOf } from "../frame/listParts.server";
import { writtenMoment, writtenShortDay } from "../frame/dates.server";

const MOST_FINISHED = 50;
/** Batches being made that are listed, and those of them that are shown with their beakers; a kitchen bench holds no more. */
const [MOST_UNDER_WAY, MOST_OPEN] = [60, 6];
/** Versions that are offered to be made. */
const MOST_MAKEABLE = 8;

/** The batches there are: those being made with their beakers and what comes next, and the others in a list. */
export async function openBench(behind = "") {
  const [db, makerId] = [database(), currentMakerId()];
  const [underWay, found, rests, makeable] = await Promise.all([
    listBatchesUnderWay(db, makerId, MOST_UNDER_WAY),
    listFinished(db, makerId, { most: askedFor(MOST_FINISHED), behind }),
    restsNow(),
    listMakeable(db, makerId, MOST_MAKEABLE),
  ]);
  const { shown: finished, older } = partOf(found, MOST_FINISHED);
  const batches = [...underWay.map((row) => ({ ...row, isDiscarded: false })), ...finished].map(
    ({ batchGrams, startedAt, finishedAt, isDiscarded, ...row }) => ({
      ...row,
      batch: writtenMass(batchGrams),
      started: writtenMoment(startedAt),
      finished: finishedAt === null ? null : `${isDiscarded ? "discarded " : ""}${writtenMoment(finishedAt)}`,
      rests: rests.find(({ id }) => id === row.id)?.rests ?? [],
    }),
  );
  const isShown = new Set(batches.flatMap(({ id, finished }) => (finished === null ? [id] : [])).slice(0, MOST_OPEN));
  const open = batches.filter(({ id }) => isShown.has(id));
  return {
    open: await Promise.all(open.map(async (batch) => ({ ...batch, ...(await whereItStands(batch.id)) }))),
    makeable: makeable.map(({ formulaId, number, name, batchGrams, finalisedAt }) => ({
      ...{ formulaId, number, name: shownFormulaName(name), batch: writtenMass(batchGrams) },
      finalised: finalisedAt === null ? "" : writtenShortDay(finalisedAt),
    })),
    others: batches.filter(({ id }) => !isShown.has(id)),
    older,
    isNewest: behind === "",
  };
}

export type OpenBench = Awaited<ReturnType<typeof openBench>>;

/** The beakers of a batch and the step that is due. */
async function whereItStands(batchId: string) {
  const { view } = await viewBatch(batchId);
  const at = view.steps.findIndex(({ state }) => state === "open");
  return {
    vessels: view.vessels,
    steps: view.steps.map(({ step: { id, title, after, vessel }, state }) => ({
      ...{ id, title, after, vessel, state },
      content: view.contents.get(id) ?? null,
    })),
    next: at === -1 ? null : { number: at + 1, title: view.steps[at]?.step.title ?? "", id: view.steps[at]?.step.id ?? "" },
  };
}
