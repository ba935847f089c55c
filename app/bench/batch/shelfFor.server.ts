import { BRINE_SALT, usualSolutes, type BatchEntry } from "@tensidrum/core/process";
import { currentMakerId, database } from "../../../db/workplace.server";
import { listLotsOfRole } from "../../../db/inventory/queries.server";
import { materialsBySlug } from "../../../db/materials/queries.server";
import { withParts } from "../../../db/materials/withParts.server";
import type { SentBatch } from "./sentBatch";

/**
 * Acids, bases and solutions of them that stand on the shelf, by their lots, with the facts of all that can come into a
 * batch beside its lines: these, what the usual solutions are made of, and what was dosed already.
 */
export async function shelfFor(entries: readonly BatchEntry[]): Promise<SentBatch["shelf"]> {
  const db = database();
  const makerId = currentMakerId();
  const dosed = entries.flatMap((entry) => (entry.kind === "dosed" || entry.kind === "sample-dosed" ? (entry.agent.parts ?? []) : []));
  const [lots, others] = await Promise.all([
    listLotsOfRole(db, makerId, "ph-adjuster"),
    materialsBySlug(db, makerId, [...new Set([...usualSolutes, BRINE_SALT, ...dosed.map(({ material }) => material)])]),
  ]);
  const named = new Map([
    ...lots.map(({ materialId, facts }) => [materialId, facts] as const),
    ...others.map(({ id, facts }) => [id, facts] as const),
  ]);
  const { bySlug } = await withParts(db, makerId, named);
  return {
    lots: lots.map(({ id, code, facts }) => ({ material: facts.slug, lot: { id, code } })),
    materials: [...bySlug.values()],
  };
}
