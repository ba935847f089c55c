import { withOwnFacts, type Material, type MaterialPart, type Role } from "@tensidrum/core/library";
import type { ShelfLot } from "@tensidrum/core/inventory";
import { and, asc, desc, eq, gt, inArray, isNotNull, sql, type SQL } from "drizzle-orm";
import type { Executor } from "../client.server";
import { materials, ownFacts } from "../materials/schema";
import { batches } from "../batches/schema";
import { lotBalances, lots, movements } from "./schema";

/** The earlier of its own end and of the days it keeps once it is open, as `endOfLot` of the core has it. */
export const lotEnd = sql<string | null>`least(${lots.endsOn}, ${lots.openedOn} + ${lots.afterOpeningDays})::text`;

/** A lot with what its movements leave. */
const lotColumns = {
  id: lots.id,
  materialId: lots.materialId,
  code: lots.code,
  supplier: lots.supplier,
  assayPercent: lots.assayPercent,
  packGrams: lots.packGrams,
  price: lots.price,
  openedOn: lots.openedOn,
  endsOn: lotEnd.as("lot_end"),
  printedEndsOn: lots.endsOn,
  afterOpeningDays: lots.afterOpeningDays,
  note: lots.note,
  onHold: lots.onHold,
  /** Nothing of it is reserved for a batch, g. */
  freeGrams: sql<number>`coalesce(sums.free, 0)`.mapWith(Number).as("free_grams"),
  /** In the bottle, promised or not, g. */
  leftGrams: sql<number>`coalesce(sums.in_it, 0)`.mapWith(Number).as("left_grams"),
  /** Nothing was ever taken from it, promised or corrected. */
  isUntouched: sql<boolean>`coalesce(sums.untouched, true)`.as("is_untouched"),
};

function sumsOf(makerId: string) {
  return sql`(select lot_id, free_grams as free, left_grams as in_it, is_untouched as untouched
    from ${lotBalances} where maker_id = ${makerId}) as sums`;
}

async function lotsWithFacts(db: Executor, makerId: string, only: SQL | undefined) {
  const rows = await db
    .select({ ...lotColumns, facts: sql<Material>`${materials.facts}`.as("facts"), own: ownFacts.facts, madeAs: materials.madeAs })
    .from(lots)
    .innerJoin(materials, eq(materials.id, lots.materialId))
    .leftJoin(ownFacts, and(eq(ownFacts.materialId, materials.id), eq(ownFacts.makerId, makerId)))
    .leftJoin(sumsOf(makerId), sql`sums.lot_id = ${lots.id}`)
    .where(and(eq(lots.makerId, makerId), only))
    .orderBy(sql`${lotEnd} nulls last`, asc(lots.createdAt));
  return rows.map(({ own, facts, ...lot }) => ({ ...lot, facts: withOwnFacts(facts, own) }));
}

/** Every lot of a maker with the facts of its material, the one that ends first before the others. */
export async function listLots(db: Executor, makerId: string) {
  return lotsWithFacts(db, makerId, undefined);
}

/** Lots with something left in them and not on hold whose material has a role. */
export async function listLotsOfRole(db: Executor, makerId: string, role: Role) {
  return lotsWithFacts(db, makerId, sql`${materials.facts} ->> 'role' = ${role} and sums.in_it > 0 and ${lots.onHold} = ''`);
}

/** One lot with the facts of its material, or `undefined`. */
export async function findLotWithMaterial(db: Executor, makerId: string, lotId: string) {
  return (await lotsWithFacts(db, makerId, eq(lots.id, lotId)))[0];
}

const solutionParts = sql<
  readonly MaterialPart[] | null
>`case when ${materials.madeAs} = 'solution' then ${materials.facts} -> 'parts' end`;

/** What stands on the shelf with something left in it, told by the slug of its material. */
export async function standingLots(db: Executor, makerId: string): Promise<ShelfLot[]> {
  const { id, code, packGrams, assayPercent, price, endsOn, leftGrams } = lotColumns;
  return db
    .select({ id, material: materials.slug, code, packGrams, assayPercent, price, endsOn, leftGrams, solutionOf: solutionParts })
    .from(lots)
    .innerJoin(materials, eq(materials.id, lots.materialId))
    .leftJoin(sumsOf(makerId), sql`sums.lot_id = ${lots.id}`)
    .where(and(eq(lots.makerId, makerId), sql`sums.in_it > 0`))
    .orderBy(sql`${lotEnd} nulls last`, asc(lots.createdAt));
}

/** What was made here, still stands and is past its day, the oldest first. */
export async function listToDiscard(db: Executor, makerId: string, today: string) {
  const { id, code, leftGrams } = lotColumns;
  return db
    .select({ id, code, leftGrams, endsOn: lotEnd, slug: materials.slug, name: sql<string>`${materials.facts} ->> 'name'` })
    .from(lots)
    .innerJoin(materials, eq(materials.id, lots.materialId))
    .leftJoin(sumsOf(makerId), sql`sums.lot_id = ${lots.id}`)
    .where(and(eq(lots.makerId, makerId), isNotNull(materials.madeAs), sql`sums.in_it > 0`, sql`${lotEnd} < ${today}`))
    .orderBy(lotEnd, asc(lots.createdAt));
}

/** Lots something is left of whose day comes within these, the soonest first. */
export async function listEndingLots(db: Executor, makerId: string, days: { readonly from: string; readonly until: string }, most: number) {
  const { id, code, leftGrams } = lotColumns;
  return db
    .select({ id, code, leftGrams, endsOn: lotEnd, slug: materials.slug, name: sql<string>`${materials.facts} ->> 'name'` })
    .from(lots)
    .innerJoin(materials, eq(materials.id, lots.materialId))
    .leftJoin(sumsOf(makerId), sql`sums.lot_id = ${lots.id}`)
    .where(and(eq(lots.makerId, makerId), sql`sums.in_it > 0`, sql`${lotEnd} between ${days.from} and ${days.until}`))
    .orderBy(lotEnd, asc(lots.createdAt))
    .limit(most);
}

/** What a line needs to know of the lots it is weighed from. */
export async function lotsById(db: Executor, makerId: string, ids: readonly string[]) {
  if (ids.length === 0) return [];
  const { id, materialId, code, assayPercent, price, packGrams } = lots;
  return db
    .select({ id, materialId, code, assayPercent, price, packGrams })
    .from(lots)
    .where(and(eq(lots.makerId, makerId), inArray(lots.id, [...ids])));
}

/** The lots of one material. */
export async function lotsOfMaterial(db: Executor, makerId: string, materialId: string) {
  return db
    .select(lotColumns)
    .from(lots)
    .leftJoin(sumsOf(makerId), sql`sums.lot_id = ${lots.id}`)
    .where(and(eq(lots.makerId, makerId), eq(lots.materialId, materialId)))
    .orderBy(sql`${lotEnd} nulls last`, asc(lots.createdAt));
}

/** One lot, or `undefined`. */
export async function findLot(db: Executor, makerId: string, lotId: string) {
  const [row] = await db
    .select(lotColumns)
    .from(lots)
    .leftJoin(sumsOf(makerId), sql`sums.lot_id = ${lots.id}`)
    .where(and(eq(lots.makerId, makerId), eq(lots.id, lotId)));
  return row;
}

/** The movements of one material's lots, the newest first. */
export async function movementsOfMaterial(db: Executor, makerId: string, materialId: string, most: number) {
  return db
    .select({
      id: movements.id,
      lotId: movements.lotId,
      kind: movements.kind,
      grams: movements.grams,
      note: movements.note,
      madeAt: movements.madeAt,
      /** What the lot held after it, g. */
      restGrams: sql<number>`sum(${movements.grams}) over (partition by ${movements.lotId} order by ${movements.position})`.mapWith(Number),
    })
    .from(movements)
    .innerJoin(lots, and(eq(lots.id, movements.lotId), eq(lots.makerId, movements.makerId)))
    .where(and(eq(movements.makerId, makerId), eq(lots.materialId, materialId)))
    .orderBy(desc(movements.position))
    .limit(most);
}

/** Movements in the order they were entered, from a place on. */
export async function movementsAfter(db: Executor, makerId: string, position: number, most: number) {
  return db
    .select({
      ...{ position: movements.position, kind: movements.kind, grams: movements.grams, note: movements.note, madeAt: movements.madeAt },
      ...{ code: lots.code, slug: materials.slug, name: sql<string>`${materials.facts} ->> 'name'`, batch: batches.code },
    })
    .from(movements)
    .innerJoin(lots, and(eq(lots.id, movements.lotId), eq(lots.makerId, movements.makerId)))
    .innerJoin(materials, eq(materials.id, lots.materialId))
    .leftJoin(batches, and(eq(batches.id, movements.batchId), eq(batches.makerId, movements.makerId)))
    .where(and(eq(movements.makerId, makerId), gt(movements.position, position)))
    .orderBy(asc(movements.position))
    .limit(most);
}

/** The lots that were made of a lot here, and those made of them, as far as it goes; each once, even where they go in a circle. */
export async function lotsMadeOf(db: Executor, makerId: string, lotId: string) {
  const { rows } = await db.execute<{ id: string; code: string; slug: string; name: string }>(sql`
    with recursive made(lot_id) as (
      select s.lot_id from lot_sources s where s.from_lot_id = ${lotId} and s.maker_id = ${makerId}
      union
      select s.lot_id from lot_sources s join made on s.from_lot_id = made.lot_id where s.maker_id = ${makerId}
    )
    select l.id, l.code, m.slug, m.facts ->> 'name' as name
    from made join lots l on l.id = made.lot_id join materials m on m.id = l.material_id
    where l.maker_id = ${makerId} and l.id <> ${lotId}
    order by l.created_at`);
  return rows;
}

/** The lots a batch took of, with what it took, g. */
export async function lotsOfBatch(db: Executor, makerId: string, batchId: string) {
  const usedGrams = sql<number>`-sum(${movements.grams})`.mapWith(Number);
  return db
    .select({
      ...{ id: lots.id, code: lots.code, supplier: lots.supplier, onHold: lots.onHold },
      ...{ facts: sql<Material>`${materials.facts}`.as("facts"), usedGrams },
    })
    .from(movements)
    .innerJoin(lots, and(eq(lots.id, movements.lotId), eq(lots.makerId, makerId)))
    .innerJoin(materials, eq(materials.id, lots.materialId))
    .where(and(eq(movements.makerId, makerId), eq(movements.batchId, batchId), inArray(movements.kind, ["use", "correct"])))
    .groupBy(lots.id, materials.id)
    .having(sql`sum(${movements.grams}) < 0`)
    .orderBy(desc(usedGrams), asc(lots.id));
}

/** Every batch that took of a lot, the newest first, with what it took, g. */
export async function batchesOfLot(db: Executor, makerId: string, lotId: string) {
  const usedGrams = sql<number>`coalesce(-sum(${movements.grams}) filter (where ${movements.kind} in ('use', 'correct')), 0)`.mapWith(
    Number,
  );
  const reservedGrams =
    sql<number>`coalesce(-sum(${movements.grams}) filter (where ${movements.kind} in ('reserve', 'release')), 0)`.mapWith(Number);
  return db
    .select({
      ...{ id: batches.id, code: batches.code, startedAt: batches.startedAt, finishedAt: batches.finishedAt },
      name: sql<string>`${batches.formula} ->> 'name'`,
      ...{ usedGrams, reservedGrams },
    })
    .from(movements)
    .innerJoin(batches, and(eq(batches.id, movements.batchId), eq(batches.makerId, movements.makerId)))
    .where(and(eq(movements.makerId, makerId), eq(movements.lotId, lotId)))
    .groupBy(batches.id)
    .orderBy(desc(batches.startedAt));
}
