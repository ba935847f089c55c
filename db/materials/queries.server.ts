import type { Material } from "@tensidrum/core/library";
import { and, asc, eq, inArray, isNull, or, sql } from "drizzle-orm";
import type { Executor } from "../client.server";
import { materials } from "./schema";

export interface StoredMaterial {
  readonly id: string;
  readonly facts: Material;
}

/** Reference materials are everyone's; of the own ones a maker sees their own. */
const visibleTo = (makerId: string) => or(isNull(materials.makerId), eq(materials.makerId, makerId));

/** Reference before own, so that an own one laid into a map by slug stands above the reference. */
const referenceFirst = sql`${materials.makerId} is not null`;

export async function listMaterials(db: Executor, makerId: string): Promise<StoredMaterial[]> {
  return db
    .select({ id: materials.id, facts: materials.facts })
    .from(materials)
    .where(visibleTo(makerId))
    .orderBy(referenceFirst, asc(materials.name));
}

/** When the materials a maker sees changed last, and how many they are: a cheap key for caches. */
export async function materialsStamp(db: Executor, makerId: string): Promise<string> {
  const [row] = await db
    .select({ stamp: sql<string>`count(*) || '-' || coalesce(extract(epoch from max(${materials.updatedAt})), 0)` })
    .from(materials)
    .where(visibleTo(makerId));
  return row?.stamp ?? "0";
}

export async function materialsById(db: Executor, makerId: string, ids: readonly string[]): Promise<StoredMaterial[]> {
  if (ids.length === 0) return [];
  return db
    .select({ id: materials.id, facts: materials.facts })
    .from(materials)
    .where(and(visibleTo(makerId), inArray(materials.id, [...ids])));
}

export async function materialsBySlug(db: Executor, makerId: string, slugs: readonly string[]): Promise<StoredMaterial[]> {
  if (slugs.length === 0) return [];
  return db
    .select({ id: materials.id, facts: materials.facts })
    .from(materials)
    .where(and(visibleTo(makerId), inArray(materials.slug, [...slugs])))
    .orderBy(referenceFirst);
}

/** An own material: a whole one, and which reference material it began from. */
export async function insertOwnMaterial(
  db: Executor,
  makerId: string,
  own: { readonly id: string; readonly facts: Material; readonly basedOnId: string | null },
): Promise<void> {
  await db.insert(materials).values({ ...columnsOf(own.facts), id: own.id, makerId, basedOnId: own.basedOnId });
}

/** What is searched as columns, taken from the facts. */
export function columnsOf(facts: Material) {
  const inciNames = facts.inci?.map((entry) => entry.name) ?? [];
  return {
    slug: facts.slug,
    name: facts.name,
    role: facts.role,
    charge: facts.charge,
    inciNames: inciNames.join(", "),
    facts,
  };
}
