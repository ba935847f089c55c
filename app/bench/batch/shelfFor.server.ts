import { dosedByLot, standingEntries, type BatchEntry } from "@tensidrum/core/process";
import { currentMakerId, database } from "../../../db/workplace.server";
import { materialsBeside } from "../../../db/batches/beside.server";
import { listLotsOfRole } from "../../../db/inventory/queries.server";
import { withParts } from "../../../db/materials/withParts.server";
import type { SentBatch } from "./sentBatch";

/**
 * Acids, bases and solutions of them that stand on the shelf, by their lots, with the facts of all that can come into a
 * batch beside its lines.
 */
export async function shelfFor(entries: readonly BatchEntry[]): Promise<SentBatch["shelf"]> {
  const db = database();
  const makerId = currentMakerId();
  const [lots, beside] = await Promise.all([listLotsOfRole(db, makerId, "ph-adjuster"), materialsBeside(db, makerId, entries)]);
  const { bySlug } = await withParts(
    db,
    makerId,
    new Map([...lots.map(({ materialId, facts }) => [materialId, facts] as const), ...beside]),
  );
  // What this batch took is taken off again where it stands.
  const dosed = dosedByLot(standingEntries(entries));
  return {
    lots: lots.map(({ id, code, leftGrams, facts }) => ({
      material: facts.slug,
      lot: { id, code },
      leftGrams: leftGrams + (dosed.get(id) ?? 0),
    })),
    materials: [...bySlug.values()],
  };
}
