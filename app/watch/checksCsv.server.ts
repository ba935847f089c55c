import { Refusal } from "@tensidrum/core/quantities";
import { findBatch } from "../../db/batches/queries.server";
import { listChecks } from "../../db/watch/queries.server";
import { currentMakerId, database } from "../../db/workplace.server";
import { csvAnswer, type CsvRow } from "../frame/csvAnswer.server";
import { daysBetween, here } from "../frame/dates.server";

const HEADS = [
  "looked at",
  "day",
  "sample",
  "pH",
  "thickness, Pa·s",
  "how",
  "clarity",
  "colour",
  "smell",
  "settled, mm",
  "room, °C",
  "L*",
  "a*",
  "b*",
  "haze, %",
  "signs",
  "note",
] as const;

/** Every look at the samples of a batch as a table for a spreadsheet. */
export async function checksCsv(batchId: string): Promise<Response> {
  const [db, makerId] = [database(), currentMakerId()];
  const batch = await findBatch(db, makerId, batchId);
  if (batch === undefined) throw new Refusal("not-found", "This batch is not here.", "Go to Watch and look for it there.");
  const made = batch.finishedAt ?? batch.startedAt;
  const rows = (await listChecks(db, makerId, batchId)).map((look): CsvRow => ({
    "looked at": here(look.lookedAt).format("YYYY-MM-DD HH:mm"),
    day: daysBetween(made, look.lookedAt),
    sample: look.storage,
    pH: look.ph ?? "",
    "thickness, Pa·s": look.viscosity ?? "",
    ...{ how: look.said, clarity: look.clarity, colour: look.colour, smell: look.smell },
    "settled, mm": look.sedimentMm ?? "",
    "room, °C": look.roomC ?? "",
    ...{ "L*": look.labL ?? "", "a*": look.labA ?? "", "b*": look.labB ?? "", "haze, %": look.hazePercent ?? "" },
    ...{ signs: look.signs.join("; "), note: look.note },
  }));
  return csvAnswer(`${batch.code}-checks.csv`, HEADS, [rows]);
}
