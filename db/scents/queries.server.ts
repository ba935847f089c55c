import { and, asc, desc, eq, max, sql } from "drizzle-orm";
import type { Executor } from "../client.server";
import { materials } from "../materials/schema";
import { scentCounts, scentRounds, scents } from "./schema";

/** The scents a maker builds, the one last worked on first. */
export async function listScents(db: Executor, makerId: string) {
  return db
    .select({
      id: scents.id,
      name: scents.name,
      rounds: sql<number>`count(${scentRounds.id})::int`,
      isKept: sql<boolean>`coalesce(bool_or(${scentRounds.materialId} is not null), false)`,
    })
    .from(scents)
    .leftJoin(scentRounds, and(eq(scentRounds.scentId, scents.id), eq(scentRounds.makerId, scents.makerId)))
    .where(eq(scents.makerId, makerId))
    .groupBy(scents.id, scents.name, scents.createdAt)
    .orderBy(desc(max(scentRounds.madeAt)), asc(scents.name));
}

/** One scent, or `undefined`. */
export async function findScent(db: Executor, makerId: string, scentId: string) {
  const [scent] = await db
    .select({ id: scents.id, name: scents.name })
    .from(scents)
    .where(and(eq(scents.makerId, makerId), eq(scents.id, scentId)));
  return scent;
}

/** The rounds of a scent, the first before the others; `keptAs` is the slug of the material it became. */
export async function listRounds(db: Executor, makerId: string, scentId: string) {
  return db
    .select({
      id: scentRounds.id,
      number: scentRounds.number,
      countedIn: scentRounds.countedIn,
      note: scentRounds.note,
      madeAt: scentRounds.madeAt,
      keptAs: materials.slug,
    })
    .from(scentRounds)
    .leftJoin(materials, and(eq(materials.id, scentRounds.materialId), eq(materials.makerId, scentRounds.makerId)))
    .where(and(eq(scentRounds.makerId, makerId), eq(scentRounds.scentId, scentId)))
    .orderBy(asc(scentRounds.number));
}

/** What every round of a scent counts of each oil. */
export async function listCounts(db: Executor, makerId: string, scentId: string) {
  return db
    .select({
      roundId: scentCounts.roundId,
      material: materials.slug,
      count: scentCounts.count,
      dropMilligrams: scentCounts.dropMilligrams,
    })
    .from(scentCounts)
    .innerJoin(scentRounds, and(eq(scentRounds.id, scentCounts.roundId), eq(scentRounds.makerId, scentCounts.makerId)))
    .innerJoin(materials, eq(materials.id, scentCounts.materialId))
    .where(and(eq(scentCounts.makerId, makerId), eq(scentRounds.scentId, scentId)))
    .orderBy(asc(scentRounds.number), asc(scentCounts.position));
}
