import { BRINE_SALT, usualSolutes, type BatchEntry } from "@tensidrum/core/process";
import type { Material } from "@tensidrum/core/library";
import type { Executor } from "../client.server";
import { materialsBySlug } from "../materials/queries.server";

/** The facts of what can come into a batch beside its lines: what usual solutions are made of, and what was dosed already. */
export async function materialsBeside(
  db: Executor,
  makerId: string,
  entries: readonly BatchEntry[],
): Promise<ReadonlyMap<string, Material>> {
  const dosed = entries.flatMap((entry) => (entry.kind === "dosed" || entry.kind === "sample-dosed" ? (entry.agent.parts ?? []) : []));
  const slugs = new Set([...usualSolutes, BRINE_SALT, ...dosed.map(({ material }) => material)]);
  return new Map((await materialsBySlug(db, makerId, [...slugs])).map(({ id, facts }) => [id, facts]));
}
