import { withOwnFacts, type Material, type MaterialPart, type Role } from "@tensidrum/core/library";
import type { ShelfLot } from "@tensidrum/core/inventory";
import { and, asc, desc, eq, gt, inArray, isNotNull, like, or, sql, type SQL } from "drizzle-orm";
import type { Executor } from "../client.server";
import { behindRow, type Part } from "../paging";
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

/** Something is in it, or more was used than it held; told as the index of these tells it, so that years of empty lots are not read. */
const isStanding = sql`(sums.in_it <> 0 or sums.free <> 0)`;

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

/** The lots that stand on a maker's shelf with the facts of their materials, the one that ends first before the others. */
export async function listLots(db: Executor, makerId: string) {
  return lotsWithFacts(db, makerId, isStanding);
}

/** Lots with something left in them and not on hold whose material has a role. */
export async function listLotsOfRole(db: Executor, makerId: string, role: Role) {
  return lotsWithFacts(
    db,
    makerId,
    sql`${isStanding} and ${materials.facts} ->> 'role' = ${role} and sums.in_it > 0 and ${lots.onHold} = ''`,
  );
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
    .where(and(eq(lots.makerId, makerId), isStanding, sql`sums.in_it > 0`))
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
    .where(and(eq(lots.makerId, makerId), isNotNull(materials.madeAs), isStanding, sql`sums.in_it > 0`, sql`${lotEnd} < ${today}`))
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
    .where(and(eq(lots.makerId, makerId), isStanding, sql`sums.in_it > 0`, sql`${lotEnd} between ${days.from} and ${days.until}`))
    .orderBy(lotEnd, asc(lots.createdAt))
    .limit(most);
}

/** Codes of lots that begin so, used up ones among them, to find the next free one. */
export async function codesOfLots(db: Executor, makerId: string, start: string): Promise<ReadonlySet<string>> {
  const rows = await db
    .select({ code: lots.code })
    .from(lots)
    .where(and(eq(lots.makerId, makerId), like(lots.code, `${start}%`)));
  return new Set(rows.map(({ code }) => code));
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

/** The lots of one material that stand on the shelf, the one that ends first before the others. */
export async function lotsOfMaterial(db: Executor, makerId: string, materialId: string) {
  return db
    .select(lotColumns)
    .from(lots)
    .leftJoin(sumsOf(makerId), sql`sums.lot_id = ${lots.id}`)
    .where(and(eq(lots.makerId, makerId), eq(lots.materialId, materialId), isStanding))
    .orderBy(sql`${lotEnd} nulls last`, asc(lots.createdAt));
}

/** The lots of one material that are used up, the one that came last first. */
export async function usedUpLotsOfMaterial(db: Executor, makerId: string, materialId: string, { most, behind }: Part) {
  return db
    .select(lotColumns)
    .from(lots)
    .leftJoin(sumsOf(makerId), sql`sums.lot_id = ${lots.id}`)
    .where(
      and(
        eq(lots.makerId, makerId),
        eq(lots.materialId, materialId),
        sql`${isStanding} is not true`,
        behindRow(makerId, { moment: lots.createdAt, id: lots.id }, behind),
      ),
    )
    .orderBy(desc(lots.createdAt), desc(lots.id))
    .limit(most);
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

/** Of the lots of a material that are used up, so many are looked through for what moved last. */
const LATELY = 40;

/** The movements of one material's lots, the newest first, with what each lot held after it, g. */
export async function movementsOfMaterial(db: Executor, makerId: string, materialId: string, most: number) {
  const { id, lotId, kind, grams, note, madeAt, position } = movements;
  const ofMaterial = and(eq(lots.makerId, makerId), eq(lots.materialId, materialId));
  const newest = db.select({ id: lots.id }).from(lots).where(ofMaterial).orderBy(desc(lots.createdAt), desc(lots.id)).limit(LATELY);
  const ofLot = db
    .select({ id, lotId, kind, grams, note, madeAt, position })
    .from(movements)
    .where(and(eq(movements.makerId, makerId), eq(movements.lotId, lots.id)))
    .orderBy(desc(position))
    .limit(most)
    .as("of_lot");
  const rows = await db
    .select({
      ...{
        id: ofLot.id,
        lotId: ofLot.lotId,
        kind: ofLot.kind,
        grams: ofLot.grams,
        note: ofLot.note,
        madeAt: ofLot.madeAt,
        code: lots.code,
      },
      freeGrams: sql<number>`sums.free`.mapWith(Number),
    })
    .from(lots)
    .innerJoin(sumsOf(makerId), sql`sums.lot_id = ${lots.id}`)
    .crossJoinLateral(ofLot)
    .where(and(ofMaterial, or(isStanding, inArray(lots.id, newest))))
    .orderBy(desc(ofLot.position))
    .limit(most);
  // What was entered later for an earlier day stands on its day.
  const byDay = rows.toSorted((a, b) => b.madeAt.getTime() - a.madeAt.getTime());
  // The newest of each lot is there, so what a lot held before is what it holds without what came after.
  const after = new Map<string, number>();
  return byDay.map(({ freeGrams, ...row }) => {
    const restGrams = freeGrams - (after.get(row.lotId) ?? 0);
    after.set(row.lotId, (after.get(row.lotId) ?? 0) + row.grams);
    return { ...row, restGrams };
  });
}

/** The packs of these materials that were bought, those of one supplier and size once, the last of them. */
export async function packsBought(db: Executor, makerId: string, slugs: readonly string[]) {
  if (slugs.length === 0) return [];
  return db
    .selectDistinctOn([lots.materialId, lots.supplier, lots.packGrams], {
      ...{ id: lots.id, material: materials.slug, supplier: lots.supplier, packGrams: lots.packGrams, price: lots.price },
    })
    .from(lots)
    .innerJoin(materials, eq(materials.id, lots.materialId))
    .where(and(eq(lots.makerId, makerId), inArray(materials.slug, [...slugs])))
    .orderBy(lots.materialId, lots.supplier, lots.packGrams, desc(lots.createdAt));
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
  const { id, code, name, startedAt, finishedAt } = batches;
  const sums = db
    .select({
      batchId: movements.batchId,
      used: sql<number>`coalesce(-sum(${movements.grams}) filter (where ${movements.kind} in ('use', 'correct')), 0)`.as("used"),
      reserved: sql<number>`coalesce(-sum(${movements.grams}) filter (where ${movements.kind} in ('reserve', 'release')), 0)`.as(
        "reserved",
      ),
    })
    .from(movements)
    .where(and(eq(movements.makerId, makerId), eq(movements.lotId, lotId), isNotNull(movements.batchId)))
    .groupBy(movements.batchId)
    .as("sums");
  return db
    .select({
      ...{ id, code, name, startedAt, finishedAt },
      usedGrams: sql<number>`${sums.used}`.mapWith(Number),
      reservedGrams: sql<number>`${sums.reserved}`.mapWith(Number),
    })
    .from(sums)
    .innerJoin(batches, and(eq(batches.id, sums.batchId), eq(batches.makerId, makerId)))
    .orderBy(desc(batches.startedAt));
}
