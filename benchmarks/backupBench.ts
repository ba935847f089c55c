import { stat } from "node:fs/promises";
import { compareBackup, restoreBackup } from "../db/backup/restoreBackup.server";
import { writeBackup } from "../db/backup/writeBackup.server";
import { openTrace } from "../app/bench/trace/trace.server";
import { openDatabase, type Database } from "../db/client.server";
import { workshop } from "../db/demo/workshop";
import { settleTransaction } from "../db/backup/rowsOfKind.server";
import { fillWorkshop } from "../db/testing/fillWorkshop";
import { listLots } from "../db/inventory/queries.server";
import { appStateOn, atWorkplace, zoneOfMachine } from "../db/workplace.server";
import { type Measured, quantile } from "./measure";

const [FORMULAS, BATCHES, ENTRIES_EACH] = [500, 5_000, 100];
const EVERY_MILLISECONDS = 50;

/** Seconds a job takes, and by how much it lets this process grow, MB. */
async function watched(job: () => Promise<unknown>): Promise<{ readonly seconds: number; readonly megabytes: number }> {
  const [began, before] = [performance.now(), process.memoryUsage().rss];
  let most = before;
  const timer = setInterval(() => (most = Math.max(most, process.memoryUsage().rss)), EVERY_MILLISECONDS);
  try {
    await job();
  } finally {
    clearInterval(timer);
  }
  return { seconds: (performance.now() - began) / 1000, megabytes: (most - before) / 1e6 };
}

/** Median of tracing lots that are in many batches each, ms. */
async function timeTraces(db: Database): Promise<number> {
  const lots = await listLots(db, workshop.id);
  const samples: number[] = [];
  for (const { id } of lots.slice(0, 10)) {
    const began = performance.now();
    await openTrace(id);
    samples.push(performance.now() - began);
  }
  return quantile(samples, 0.5);
}

/** A backup of years of work, compared and restored over itself. */
export async function benchBackup(databaseUrl: string, folder: string): Promise<Measured[]> {
  const { db, close } = openDatabase(databaseUrl);
  const file = `${folder}/bench.backup`;
  const quietly = (): void => undefined;
  try {
    await db.transaction(async (tx) => {
      await settleTransaction(tx);
      await fillWorkshop(tx, workshop.id, { formulas: FORMULAS, batches: BATCHES, entriesEach: ENTRIES_EACH });
    });
    const written = await watched(() => writeBackup(db, workshop.id, file));
    const compared = await watched(() => compareBackup(db, workshop.id, file, quietly));
    const restored = await watched(() => restoreBackup(db, workshop.id, file, { expected: null, note: quietly }));
    const traces = await atWorkplace({ ...appStateOn(db), makerId: workshop.id, zone: zoneOfMachine() }, () => timeTraces(db));
    const what = `${FORMULAS} formulas, ${BATCHES.toLocaleString("en-GB")} batches, ${(BATCHES * ENTRIES_EACH).toLocaleString("en-GB")} entries`;
    return [
      { what: `backup of ${what}`, value: written.seconds, unit: "s", limit: 60 },
      { what: "comparing that backup", value: compared.seconds, unit: "s", limit: null },
      { what: "restoring that backup over what is there", value: restored.seconds, unit: "s", limit: 60 },
      { what: "growth of memory while backing up", value: written.megabytes, unit: "MB", limit: null },
      { what: "growth of memory while restoring", value: restored.megabytes, unit: "MB", limit: null },
      { what: "where a lot went that is in 250 batches", value: traces, unit: "ms", limit: 100 },
      { what: "size of that backup", value: (await stat(file)).size / 1e6, unit: "MB", limit: null },
    ];
  } finally {
    await close();
  }
}
