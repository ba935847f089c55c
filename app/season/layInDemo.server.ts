import { loadDemo } from "../../db/demo/loadDemo.server";
import { workshop } from "../../db/demo/workshop";
import { Refusal } from "@tensidrum/core/quantities";
import { currentMakerId, database, workplace } from "../../db/workplace.server";
import { loadSeason } from "./loadSeason.server";

/** Lays the demo in beside what a maker has, as it was after its season. */
export async function layInDemo(): Promise<void> {
  if (currentMakerId() !== workshop.id)
    throw new Refusal("not-possible", "The demo belongs to the first maker of this machine.", "Begin with a formula or an import.");
  await loadDemo(database());
  try {
    await loadSeason(workplace());
  } catch (error) {
    const why = error instanceof Error ? error.message : String(error);
    throw new Refusal("not-possible", `The batches of the demo could not all be made. ${why}`, "Its formulas and shelf are there.");
  }
}
