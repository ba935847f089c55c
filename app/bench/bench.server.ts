import { writtenMass } from "@tensidrum/core/quantities";
import dayjs from "dayjs";
import { currentMakerId, database } from "../../db/workplace.server";
import { listBatches } from "../../db/batches/queries.server";
import { restsNow } from "../frame/restingBatches.server";

const MOST_BATCHES = 100;

/** The batches there are, those being made first, with what rests in them. */
export async function openBench() {
  const [rows, rests] = await Promise.all([listBatches(database(), currentMakerId(), MOST_BATCHES), restsNow()]);
  return rows.map(({ batchGrams, startedAt, finishedAt, isDiscarded, ...row }) => ({
    ...row,
    batch: writtenMass(batchGrams),
    started: dayjs(startedAt).format("D MMM YYYY, HH:mm"),
    finished: finishedAt === null ? null : `${isDiscarded ? "discarded " : ""}${dayjs(finishedAt).format("D MMM YYYY, HH:mm")}`,
    rests: rests.find(({ id }) => id === row.id)?.rests ?? [],
  }));
}
