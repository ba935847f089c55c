import type { Formula } from "@tensidrum/core/formula";
import type { MaterialsBySlug } from "@tensidrum/core/library";
import { saltPeaksOf, surfactantBaseOf } from "@tensidrum/core/process";
import type { Executor } from "../../db/client.server";
import { listAllSaltSamples, listSaltSamples } from "../../db/saltSamples/queries.server";

type Sample = Parameters<typeof saltPeaksOf>[0][number];

/** A curve is fitted once for the samples of a base, not for every page; it is the same for whoever has the same samples. */
const MOST_KEPT = 1_000;
const kept = new Map<string, number | undefined>();

function peakOf(base: string, samples: readonly Sample[]): number | undefined {
  const key = JSON.stringify([base, samples.map(({ saltPercent, viscosity, unit }) => [saltPercent, viscosity, unit])]);
  if (kept.has(key)) return kept.get(key);
  if (kept.size >= MOST_KEPT) kept.clear();
  const peak = saltPeaksOf(samples)[base];
  kept.set(key, peak);
  return peak;
}

function groupedByBase(samples: readonly Sample[]): ReadonlyMap<string, readonly Sample[]> {
  const bases = new Set(samples.map(({ base }) => base));
  return new Map([...bases].map((base) => [base, samples.filter((sample) => sample.base === base)]));
}

function peaksOf(samples: readonly Sample[]): Readonly<Record<string, number>> {
  const peaks = [...groupedByBase(samples)].map(([base, own]) => [base, peakOf(base, own)] as const);
  return Object.fromEntries(peaks.filter((found): found is readonly [string, number] => found[1] !== undefined));
}

/** Peaks of all of the maker's fitted salt curves, by surfactant base: what is typed next may be any of them. */
export async function saltPeaks(db: Executor, makerId: string): Promise<Readonly<Record<string, number>>> {
  return peaksOf(await listAllSaltSamples(db, makerId));
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
  return peaksOf(samples.map((sample) => ({ ...sample, base: base.hash })));
}
