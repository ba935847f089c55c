import { saltPeaksOf } from "@tensidrum/core/process";
import type { Executor } from "../../db/client.server";
import { listAllSaltSamples } from "../../db/saltSamples/queries.server";

/** Peaks of the maker's fitted salt curves, by surfactant base. */
export async function saltPeaks(db: Executor, makerId: string): Promise<Readonly<Record<string, number>>> {
  return saltPeaksOf(await listAllSaltSamples(db, makerId));
}
