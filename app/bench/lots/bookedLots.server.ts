import { wantedOfLots, type Booked, type LotShare } from "@tensidrum/core/inventory";
import { batchState, lotsDosed, type BatchEntry, type BatchPlan } from "@tensidrum/core/process";

/**
 * What a batch is to have reserved and used of each lot after all its entries: what its lines weigh, what was dosed from a
 * bottle, and nothing any more of a lot whose dose was taken back.
 */
export function bookedLots(plan: BatchPlan, shares: readonly LotShare[], all: readonly BatchEntry[]): ReadonlyMap<string, Booked> {
  const state = batchState(plan, all);
  const { byLot, lostByLine } = lotsDosed(plan, state.standing);
  const weighed = new Map(
    [...state.lines.values()].map(({ line, actualGrams }) => {
      const lost = lostByLine.get(line) ?? 0;
      return [line, lost > 0 ? (actualGrams ?? 0) + lost : actualGrams] as const;
    }),
  );
  const wanted = new Map(wantedOfLots(shares, weighed, state.finished !== null));
  const named = all.flatMap((entry) => (entry.kind === "dosed" || entry.kind === "sample-dosed" ? [entry.agent.lot?.id] : []));
  for (const lot of new Set(named)) {
    if (lot === undefined) continue;
    const { reservedGrams, usedGrams } = wanted.get(lot) ?? { reservedGrams: 0, usedGrams: 0 };
    wanted.set(lot, { reservedGrams, usedGrams: usedGrams + (byLot.get(lot) ?? 0) });
  }
  return wanted;
}
