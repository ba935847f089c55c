import type { Formula } from "@tensidrum/core/formula";
import type { MaterialsBySlug } from "@tensidrum/core/library";
import { saltPeaksOf, surfactantBaseOf } from "@tensidrum/core/process";
import type { Executor } from "../../db/client.server";
import { listAllSaltSamples, listSaltSamples } from "../../db/saltSamples/queries.server";

/** Peaks of all of the maker's fitted salt curves, by surfactant base: what is typed next may be any of them. */
export async function saltPeaks(db: Executor, makerId: string): Promise<Readonly<Record<string, number>>> {
  return saltPeaksOf(await listAllSaltSamples(db, makerId));
}

/** The peak of this formula's surfactant base, where its samples draw a salt curve. */
export async function saltPeakOf(
  db: Executor,
  makerId: string,
  { formula, materials }: { readonly formula: Formula; readonly materials: MaterialsBySlug },
): Promise<Readonly<Record<string, number>>> {
  const base = surfactantBaseOf({ formula, materials });
  if (base === null) return {};
  const samples = await listSaltSamples(db, makerId, base.hash);
  return saltPeaksOf(samples.map((sample) => ({ ...sample, base: base.hash })));
}
