import { listAllBatches } from "../../../db/batches/queries.server";
import { currentMakerId, database } from "../../../db/workplace.server";
import { here } from "../../frame/dates.server";
import { csvAnswer, type CsvRow } from "../../frame/csvAnswer.server";

const HEADS = ["batch", "formula", "version", "size, g", "yield, g", "yield, %", "begun", "finished"] as const;

/** Every batch as a table for a spreadsheet. */
export async function batchesCsv(): Promise<Response> {
  const rows = await listAllBatches(database(), currentMakerId());
  const moment = (at: Date | null): string => (at === null ? "" : here(at).format("YYYY-MM-DD HH:mm"));
  const told = rows.map(({ code, name, number, batchGrams, yieldGrams, startedAt, finishedAt }): CsvRow => ({
    ...{ batch: code, formula: name, version: number ?? "", "size, g": batchGrams, "yield, g": yieldGrams ?? "" },
    "yield, %": yieldGrams === null ? "" : Math.round((1000 * yieldGrams) / batchGrams) / 10,
    ...{ begun: moment(startedAt), finished: moment(finishedAt) },
  }));
  return csvAnswer("batches.csv", HEADS, [told]);
}
