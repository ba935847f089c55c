import { isNotChosen, withOwnFacts, type Material, type OwnFacts } from "@tensidrum/core/library";
import { and, asc, desc, eq, inArray, isNull, or, sql } from "drizzle-orm";
import type { Executor } from "../client.server";
import { libraryChanges, materials, ownFacts, type WayOfMaking } from "./schema";

export interface StoredMaterial {
  readonly id: string;
  /** As its maker knows it: own facts stand above the reference's. */
  readonly facts: Material;
}

/** Columns of a material with what a maker holds against it; `knownTo` makes them one. */
const told = { id: materials.id, facts: materials.facts, own: ownFacts.facts };

const ownOf = (makerId: string) => and(eq(ownFacts.materialId, materials.id), eq(ownFacts.makerId, makerId));

const knownTo = ({ id, facts, own }: { id: string; facts: Material; own: OwnFacts | null }): StoredMaterial => ({
  id,
  facts: withOwnFacts(facts, own),
});

/** Reference materials are everyone's; of the own ones a maker sees their own. */
const visibleTo = (makerId: string) => or(isNull(materials.makerId), eq(materials.makerId, makerId));

/** Reference before own, so that an own one laid into a map by slug stands above the reference. */
const referenceFirst = sql`${materials.makerId} is not null`;

export async function listMaterials(db: Executor, makerId: string): Promise<StoredMaterial[]> {
  const rows = await db
    .select(told)
    .from(materials)
    .leftJoin(ownFacts, ownOf(makerId))
    .where(visibleTo(makerId))
    .orderBy(referenceFirst, asc(materials.name));
  return rows.map(knownTo);
}

/** What a maker can choose: all but what stands for a material that is yet to be chosen. */
export async function listChoosable(db: Executor, makerId: string): Promise<StoredMaterial[]> {
  return (await listMaterials(db, makerId)).filter(({ facts }) => !isNotChosen(facts));
}

/** When the materials a maker sees changed last, and how many they are: a cheap key for caches. */
export async function materialsStamp(db: Executor, makerId: string): Promise<string> {
  const [row] = await db
    .select({
      stamp: sql<string>`count(*) || '-' || coalesce(extract(epoch from max(${materials.updatedAt})), 0)
        || '-' || count(${ownFacts.materialId}) || '-' || coalesce(extract(epoch from max(${ownFacts.updatedAt})), 0)`,
    })
    .from(materials)
    .leftJoin(ownFacts, ownOf(makerId))
    .where(visibleTo(makerId));
  return row?.stamp ?? "0";
}

export async function materialsById(db: Executor, makerId: string, ids: readonly string[]): Promise<StoredMaterial[]> {
  if (ids.length === 0) return [];
  const rows = await db
    .select(told)
    .from(materials)
    .leftJoin(ownFacts, ownOf(makerId))
    .where(and(visibleTo(makerId), inArray(materials.id, [...ids])));
  return rows.map(knownTo);
}

export async function materialsBySlug(db: Executor, makerId: string, slugs: readonly string[]): Promise<StoredMaterial[]> {
  if (slugs.length === 0) return [];
  const rows = await db
    .select(told)
    .from(materials)
    .leftJoin(ownFacts, ownOf(makerId))
    .where(and(visibleTo(makerId), inArray(materials.slug, [...slugs])))
    .orderBy(referenceFirst);
  return rows.map(knownTo);
}

/** A material as the library has it, what its maker holds against it, and whose it is; `undefined` where there is none. */
export async function findMaterial(db: Executor, makerId: string, slug: string) {
  const rows = await db
    .select({
      ...told,
      isOwn: sql<boolean>`${materials.makerId} is not null`,
      madeAs: materials.madeAs,
      basedOnSlug: sql<string | null>`(select slug from materials as origin where origin.id = ${materials.basedOnId})`,
      ownSince: ownFacts.updatedAt,
    })
    .from(materials)
    .leftJoin(ownFacts, ownOf(makerId))
    .where(and(visibleTo(makerId), eq(materials.slug, slug)))
    .orderBy(referenceFirst);
  return rows.at(-1);
}

/** The materials of a maker's own, and how each came to be. */
export async function listOwnMaterials(db: Executor, makerId: string) {
  return db
    .select({ id: materials.id, facts: materials.facts, madeAs: materials.madeAs })
    .from(materials)
    .where(eq(materials.makerId, makerId))
    .orderBy(asc(materials.name));
}

/** What a maker holds against reference materials, by their slugs. */
export async function listOwnFacts(db: Executor, makerId: string) {
  return db
    .select({ slug: materials.slug, facts: ownFacts.facts })
    .from(ownFacts)
    .innerJoin(materials, eq(materials.id, ownFacts.materialId))
    .where(eq(ownFacts.makerId, makerId))
    .orderBy(asc(materials.slug));
}

export interface OwnMaterial {
  readonly id: string;
  readonly facts: Material;
  /** The reference material it began from. */
  readonly basedOnId: string | null;
  readonly madeAs?: WayOfMaking | null;
}

/** An own material: a whole one, and which reference material it began from. */
export async function insertOwnMaterial(db: Executor, makerId: string, own: OwnMaterial): Promise<void> {
  await insertOwnMaterials(db, makerId, [own]);
}

/** So many rows go in one statement; PostgreSQL counts at most 65,535 values. */
const ROWS_AT_ONCE = 500;

/** Own materials, all or none. `onProgress` is told how many are in so far. */
export async function insertOwnMaterials(
  db: Executor,
  makerId: string,
  own: readonly OwnMaterial[],
  onProgress: (done: number) => void = () => undefined,
): Promise<void> {
  await db.transaction(async (tx) => {
    for (let from = 0; from < own.length; from += ROWS_AT_ONCE) {
      const some = own.slice(from, from + ROWS_AT_ONCE);
      const rows = some.map(({ id, facts, basedOnId, madeAs = null }) => ({ ...columnsOf(facts), id, makerId, basedOnId, madeAs }));
      await tx.insert(materials).values(rows);
      onProgress(from + some.length);
    }
  });
}

/** Rewrites an own material. Returns whether there was one. */
export async function updateOwnMaterial(db: Executor, makerId: string, materialId: string, facts: Material): Promise<boolean> {
  const changed = await db
    .update(materials)
    .set({ ...columnsOf(facts), updatedAt: sql`now()` })
    .where(and(eq(materials.makerId, makerId), eq(materials.id, materialId)))
    .returning({ id: materials.id });
  return changed.length > 0;
}

/** Takes an own material out. One that stands on a sheet, in a scent or on the shelf stays: the database refuses. */
export async function deleteOwnMaterial(db: Executor, makerId: string, materialId: string): Promise<boolean> {
  const gone = await db
    .delete(materials)
    .where(and(eq(materials.makerId, makerId), eq(materials.id, materialId)))
    .returning({ id: materials.id });
  return gone.length > 0;
}

/** Puts what a maker holds against a reference material in the place of what they held before; nothing takes it away. */
export async function saveOwnFacts(db: Executor, makerId: string, materialId: string, facts: OwnFacts): Promise<void> {
  if (Object.keys(facts).length === 0) {
    await db.delete(ownFacts).where(and(eq(ownFacts.makerId, makerId), eq(ownFacts.materialId, materialId)));
    return;
  }
  await db
    .insert(ownFacts)
    .values({ makerId, materialId, facts })
    .onConflictDoUpdate({ target: [ownFacts.makerId, ownFacts.materialId], set: { facts, updatedAt: sql`now()` } });
}

/** What updates of the reference library changed, the newest first. The library is everyone's. */
export async function listLibraryChanges(db: Executor, most: number) {
  return db.select().from(libraryChanges).orderBy(desc(libraryChanges.madeAt), asc(libraryChanges.name)).limit(most);
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
