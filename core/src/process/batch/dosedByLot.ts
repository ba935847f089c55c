import type { BatchEntry } from "./entries.ts";

/**
 * What was dosed out of lots the doses name, g, by the lot's id. Of a solution thinned for a sample only the part counts that is
 * the solution, which its parts name first.
 */
export function dosedByLot(standing: readonly BatchEntry[]): ReadonlyMap<string, number> {
  const byLot = new Map<string, number>();
  for (const entry of standing) {
    if (entry.kind !== "dosed" && entry.kind !== "sample-dosed") continue;
    const { lot, parts } = entry.agent;
    if (lot === undefined) continue;
    byLot.set(lot.id, (byLot.get(lot.id) ?? 0) + (entry.grams * (parts?.[0]?.percent ?? 100)) / 100);
  }
  return byLot;
}
