import { isRunning, standingEntries, waitsOf } from "@tensidrum/core/process";
import { currentMakerId, database, rightNow, workplace, type Workplace } from "../../db/workplace.server";
import { listOpenBatches } from "../../db/batches/queries.server";
import { isDatabaseAway } from "../../db/failures.server";
import { writtenUntil } from "./dates.server";

const asked = new WeakMap<Workplace, ReturnType<typeof readRests>>();

/**
 * The batches being made, the one begun first first, each with what rests in it and until when. Parts of a page that ask at
 * the same time get one answer.
 */
export function restsNow() {
  const place = workplace();
  const asking = asked.get(place) ?? readRests().finally(() => asked.delete(place));
  asked.set(place, asking);
  return asking;
}

async function readRests() {
  const now = rightNow().toISOString();
  const open = await listOpenBatches(database(), currentMakerId());
  return open.map(({ id, code, name, formulaId, steps, entries }) => {
    const standing = standingEntries(entries);
    const through = new Set(standing.flatMap((entry) => (entry.kind === "done" || entry.kind === "skipped" ? [entry.step] : [])));
    return {
      id,
      code,
      name,
      formulaId,
      through: through.size,
      steps: steps.length,
      rests: waitsOf(steps, standing)
        .filter((wait) => isRunning(wait, now))
        .sort((a, b) => (a.until < b.until ? -1 : 1))
        .map(({ id: wait, text, until }) => ({ id: wait, text, until: writtenUntil(until), untilAt: until })),
    };
  });
}

export type RestingBatch = Awaited<ReturnType<typeof restsNow>>[number];

/** State of the bench station on every page. While the database is unavailable it says nothing new. */
export async function openBenchState(): Promise<string | null> {
  try {
    return benchState(await restsNow());
  } catch (error) {
    if (isDatabaseAway(error)) return null;
    throw error;
  }
}

/** State of the bench station: what rests until when, else what is being made. */
export function benchState(batches: readonly RestingBatch[]): string | null {
  const [soonest] = batches.flatMap(({ code, rests }) => rests.map((rest) => ({ code, ...rest })));
  if (soonest !== undefined) return `${soonest.code} rests until ${soonest.until}`;
  if (batches.length === 0) return null;
  return batches.length === 1 ? `${batches[0]?.code ?? ""} being made` : `${batches.length} being made`;
}
