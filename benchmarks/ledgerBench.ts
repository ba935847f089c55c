import { openDatabase } from "../db/client.server";
import { workshop } from "../db/demo/workshop";
import { standingLots } from "../db/inventory/queries.server";
import { fillLedger } from "../db/testing/fillLedger";
import { type Measured, quantile } from "./measure";

const LOTS = 1000;
const MOVEMENTS = 1_000_000;
const SAMPLES = 15;

/** What is left of every lot, summed from a ledger of many movements. */
export async function benchLedger(databaseUrl: string): Promise<Measured[]> {
  const { db, close } = openDatabase(databaseUrl);
  try {
    await fillLedger(db, workshop.id, { lots: LOTS, movements: MOVEMENTS });
    const samples: number[] = [];
    for (let at = 0; at < SAMPLES; at += 1) {
      const began = performance.now();
      await standingLots(db, workshop.id);
      samples.push(performance.now() - began);
    }
    const what = `database: what is left of ${LOTS.toLocaleString("en-GB")} lots over ${MOVEMENTS.toLocaleString("en-GB")} movements`;
    return [{ what, value: quantile(samples, 0.5), unit: "ms", limit: 200 }];
  } finally {
    await close();
  }
}
