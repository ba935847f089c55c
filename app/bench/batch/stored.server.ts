import { Refusal } from "@tensidrum/core/formula";
import { database } from "../../../db/client.server";
import { findBatch, listBatchLots, listEntries } from "../../../db/batches/queries.server";
import { currentMakerId } from "../../frame/maker.server";
import { batchView } from "./batchView";
import { planOfBatch, type SentBatch } from "./sentBatch";

/** A batch with all that was entered, as it lies in the database. */
export async function storedBatch(batchId: string) {
  const db = database();
  const makerId = currentMakerId();
  const [batch, entries, lots] = await Promise.all([
    findBatch(db, makerId, batchId),
    listEntries(db, makerId, batchId),
    listBatchLots(db, makerId, batchId),
  ]);
  if (batch === undefined) throw new Refusal("not-found", "This batch is not on your bench.", "Go to the bench and look for it there.");
  return { batch, entries, lots };
}

/** A batch for the bench: all that is needed to go on without the server. */
export async function sendBatch(batchId: string): Promise<SentBatch> {
  const { batch, entries, lots } = await storedBatch(batchId);
  return {
    id: batch.id,
    code: batch.code,
    formula: batch.formula,
    steps: batch.steps,
    vessels: batch.vessels,
    lots: lots.map(({ line, code, grams }) => ({ line, code, grams })),
    entries,
    started: batch.startedAt.toISOString(),
    now: new Date().toISOString(),
  };
}

/** A batch where it stands now. */
export async function viewBatch(batchId: string) {
  const sent = await sendBatch(batchId);
  const plan = planOfBatch(sent);
  const entries = sent.entries.map(({ entry }) => entry);
  return { sent, plan, entries, view: batchView(sent, plan, entries) };
}
