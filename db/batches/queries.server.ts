import { and, asc, desc, eq, getTableColumns, gt, inArray, isNotNull, isNull, lt, notInArray, or, sql, type SQL } from "drizzle-orm";
import type { FormulaLine } from "@tensidrum/core/formula";
import type { Executor } from "../client.server";
import { behindRow, type Part } from "../paging";
import { versions } from "../formulas/schema";
import { lotEnd } from "../inventory/queries.server";
import { lotBalances, lots } from "../inventory/schema";
import { batchContainers, batchEntries, batches, batchLots, batchPhotos, givenContainers } from "./schema";

const batchRow = {
  ...{ id: batches.id, code: batches.code, name: batches.name, batchGrams: batches.batchGrams },
  ...{ startedAt: batches.startedAt, finishedAt: batches.finishedAt },
};

/** The batches that are being made, the newest first. */
export async function listBatchesUnderWay(db: Executor, makerId: string, most: number) {
  return db
    .select(batchRow)
    .from(batches)
    .where(and(eq(batches.makerId, makerId), isNull(batches.finishedAt)))
    .orderBy(desc(batches.startedAt))
    .limit(most);
}

/** The finished batches of a maker, the last first. */
export async function listFinished(db: Executor, makerId: string, { most, behind }: Part) {
  return db
    .select({
      ...batchRow,
      /** It was ended before anything was weighed. */
      isDiscarded: sql<boolean>`coalesce('discarded' = (
        select kind from batch_entries as ends
        where ends.maker_id = batches.maker_id and ends.batch_id = batches.id and kind in ('finished', 'discarded')
        order by position desc limit 1), false)`,
    })
    .from(batches)
    .where(
      and(
        eq(batches.makerId, makerId),
        isNotNull(batches.finishedAt),
        behindRow(makerId, { moment: batches.finishedAt, id: batches.id }, behind),
      ),
    )
    .orderBy(desc(batches.finishedAt), desc(batches.id))
    .limit(most);
}

/** Every batch, the oldest first, with what came of it, g; null where it is not finished or its yield was not weighed. */
export async function listAllBatches(db: Executor, makerId: string) {
  return db
    .select({
      ...{ id: batches.id, code: batches.code, number: versions.number, startedAt: batches.startedAt, finishedAt: batches.finishedAt },
      name: batches.name,
      batchGrams: batches.batchGrams,
      yieldGrams: sql<number | null>`case when ${batches.finishedAt} is not null then (
        select (entry ->> 'yieldGrams')::float8 from batch_entries as ends
        where ends.maker_id = batches.maker_id and ends.batch_id = batches.id and kind = 'finished'
        order by position desc limit 1) end`,
    })
    .from(batches)
    .leftJoin(versions, and(eq(versions.id, batches.versionId), eq(versions.makerId, batches.makerId)))
    .where(eq(batches.makerId, makerId))
    .orderBy(asc(batches.startedAt), asc(batches.id));
}

/** One batch as it was planned, with the formula its version is of, or `undefined`. */
export async function findBatch(db: Executor, makerId: string, batchId: string) {
  const [batch] = await db
    .select({ ...getTableColumns(batches), formulaId: versions.formulaId })
    .from(batches)
    .leftJoin(versions, and(eq(versions.id, batches.versionId), eq(versions.makerId, batches.makerId)))
    .where(and(eq(batches.makerId, makerId), eq(batches.id, batchId)));
  return batch;
}

/** The batches of one version that are being made, the one begun first first. */
export async function listOpenBatchesOf(db: Executor, makerId: string, of: { readonly formulaId: string; readonly number: number }) {
  return db
    .select({ id: batches.id, code: batches.code, startedAt: batches.startedAt })
    .from(batches)
    .innerJoin(versions, and(eq(versions.id, batches.versionId), eq(versions.makerId, batches.makerId)))
    .where(
      and(eq(batches.makerId, makerId), isNull(batches.finishedAt), eq(versions.formulaId, of.formulaId), eq(versions.number, of.number)),
    )
    .orderBy(asc(batches.startedAt));
}

/** Batches with their entries, or those of some kinds, in the order they came. */
async function withEntries<Row extends { readonly id: string }>(db: Executor, makerId: string, rows: readonly Row[], kinds?: SQL) {
  if (rows.length === 0) return [];
  const ids = rows.map(({ id }) => id);
  const found = await db
    .select({ batchId: batchEntries.batchId, entry: batchEntries.entry })
    .from(batchEntries)
    .where(and(eq(batchEntries.makerId, makerId), inArray(batchEntries.batchId, ids), kinds))
    .orderBy(asc(batchEntries.position));
  return rows.map((row) => ({ ...row, entries: found.filter(({ batchId }) => batchId === row.id).map(({ entry }) => entry) }));
}

/** The closed batches of a formula, or one of them, the one finished last first, with all that tells what came of them. */
export async function listClosedBatchesOf(
  db: Executor,
  makerId: string,
  formulaId: string,
  { most, batchId }: { readonly most: number; readonly batchId?: string },
) {
  const only = batchId === undefined ? undefined : eq(batches.id, batchId);
  const rows = await db
    .select({
      id: batches.id,
      versionId: versions.id,
      number: versions.number,
      code: batches.code,
      formula: batches.formula,
      steps: batches.steps,
      finishedAt: batches.finishedAt,
    })
    .from(batches)
    .innerJoin(versions, and(eq(versions.id, batches.versionId), eq(versions.makerId, batches.makerId)))
    .where(and(eq(batches.makerId, makerId), isNotNull(batches.finishedAt), eq(versions.formulaId, formulaId), only))
    .orderBy(desc(batches.finishedAt))
    .limit(most);
  return withEntries(db, makerId, rows);
}

/** The last finished batch of a version, or `undefined`. */
export async function findLastFinished(db: Executor, makerId: string, versionId: string) {
  const [batch] = await db
    .select({ id: batches.id, finishedAt: batches.finishedAt })
    .from(batches)
    .where(and(eq(batches.makerId, makerId), eq(batches.versionId, versionId), isNotNull(batches.finishedAt)))
    .orderBy(desc(batches.finishedAt))
    .limit(1);
  return batch;
}

/** Lots of a batch of which more was used than they held, with the lines they were for and what they lack, g. */
export async function listOverdrawnLots(db: Executor, makerId: string, batchId: string) {
  return db
    .select({
      line: batchLots.lineId,
      lotId: lots.id,
      code: lots.code,
      materialId: lots.materialId,
      missingGrams: sql<number>`-${lotBalances.leftGrams}`.mapWith(Number),
    })
    .from(batchLots)
    .innerJoin(lots, and(eq(lots.id, batchLots.lotId), eq(lots.makerId, batchLots.makerId)))
    .innerJoin(lotBalances, eq(lotBalances.lotId, lots.id))
    .where(and(eq(batchLots.makerId, makerId), eq(batchLots.batchId, batchId), lt(lotBalances.leftGrams, 0)))
    .orderBy(asc(batchLots.position));
}

/** What of a batch was entered that changes how it stands, in the order it came, and the last position of all. */
export async function listCountingEntries(db: Executor, makerId: string, batchId: string) {
  const mine = and(eq(batchEntries.makerId, makerId), eq(batchEntries.batchId, batchId));
  // The position first: what is stored in between is then among the entries, and never behind a position without its entry.
  const [last] = await db
    .select({ position: sql<number>`coalesce(max(${batchEntries.position}), 0)`.mapWith(Number) })
    .from(batchEntries)
    .where(mine);
  const entries = await db
    .select({ position: batchEntries.position, entry: batchEntries.entry })
    .from(batchEntries)
    .where(and(mine, notInArray(batchEntries.kind, ["noted", "photographed"])))
    .orderBy(asc(batchEntries.position));
  return { entries, position: last?.position ?? 0 };
}

/** What was entered for a batch behind a position, and of these entries also what came before it, in the order it came. */
export async function listEntries(db: Executor, makerId: string, batchId: string, behind = 0, also: readonly string[] = []) {
  const wanted = or(gt(batchEntries.position, behind), inArray(batchEntries.id, [...also]));
  return db
    .select({ position: batchEntries.position, entry: batchEntries.entry })
    .from(batchEntries)
    .where(and(eq(batchEntries.makerId, makerId), eq(batchEntries.batchId, batchId), wanted))
    .orderBy(asc(batchEntries.position));
}

/** One picture of a batch, or `undefined`. */
export async function findPhoto(db: Executor, makerId: string, photo: { readonly batchId: string; readonly photoId: string }) {
  const [found] = await db
    .select({ picture: batchPhotos.picture, width: batchPhotos.width, height: batchPhotos.height })
    .from(batchPhotos)
    .where(and(eq(batchPhotos.makerId, makerId), eq(batchPhotos.batchId, photo.batchId), eq(batchPhotos.id, photo.photoId)));
  return found;
}

/** Kinds that start or end a wait, or take one back. */
const kindsOfWaits = ["done", "skipped", "timer", "wait-ended", "taken-back"] as const;

/** The batches that are being made, with those of their entries that tell what rests. */
export async function listOpenBatches(db: Executor, makerId: string) {
  const open = await db
    .select({
      ...{ id: batches.id, code: batches.code, steps: batches.steps, formulaId: versions.formulaId },
      name: batches.name,
    })
    .from(batches)
    .leftJoin(versions, and(eq(versions.id, batches.versionId), eq(versions.makerId, batches.makerId)))
    .where(and(eq(batches.makerId, makerId), isNull(batches.finishedAt)))
    .orderBy(asc(batches.startedAt));
  return withEntries(db, makerId, open, inArray(batchEntries.kind, [...kindsOfWaits]));
}

/** The batches finished since a moment, the last first, with how many containers they were filled into. */
export async function listFinishedSince(db: Executor, makerId: string, since: Date, most: number) {
  return db
    .select({
      ...{ id: batches.id, code: batches.code, formulaId: versions.formulaId, finishedAt: batches.finishedAt },
      name: batches.name,
      containers: sql<number>`(select coalesce(sum(c.count), 0) from batch_containers c where c.batch_id = ${batches.id})`.mapWith(Number),
    })
    .from(batches)
    .leftJoin(versions, and(eq(versions.id, batches.versionId), eq(versions.makerId, batches.makerId)))
    .where(and(eq(batches.makerId, makerId), gt(batches.finishedAt, since)))
    .orderBy(desc(batches.finishedAt))
    .limit(most);
}

/**
 * The pH readings of batches at the bench that may be the last one that stands, in order, and what was taken back: of each batch
 * the newest that nobody took back, and what came after it.
 */
export async function listLastPhReadings(db: Executor, makerId: string, batchIds: readonly string[]) {
  if (batchIds.length === 0) return [];
  const asked = inArray(batches.id, [...batchIds]);
  // With an offset it is looked for once for each batch, not for each entry.
  const last = sql`(select ${batches.id} as batch_id, coalesce((select read.position from batch_entries read
      where read.batch_id = ${batches.id} and read.kind = 'ph-read' and not exists (select from batch_entries back
        where back.batch_id = read.batch_id and back.kind = 'taken-back' and back.entry ->> 'entry' = read.id::text)
      order by read.position desc limit 1), 0) as since
    from ${batches} where ${batches.makerId} = ${makerId} and ${asked} offset 0) as last`;
  const mayBeLast = sql`(${batchEntries.kind} = 'taken-back' or ${batchEntries.kind} = 'ph-read' and ${batchEntries.position} >= last.since)`;
  return db
    .select({ batchId: batchEntries.batchId, entry: batchEntries.entry })
    .from(batchEntries)
    .innerJoin(last, sql`last.batch_id = ${batchEntries.batchId}`)
    .where(and(eq(batchEntries.makerId, makerId), mayBeLast))
    .orderBy(asc(batchEntries.position));
}

/** When a meter was calibrated last; null where it never was. */
export async function lastCalibratedAt(db: Executor, makerId: string): Promise<Date | null> {
  const [row] = await db
    .select({ at: sql<string>`${batchEntries.entry} ->> 'at'` })
    .from(batchEntries)
    .where(and(eq(batchEntries.makerId, makerId), sql`${batchEntries.kind} = 'calibrated'`))
    .orderBy(desc(batchEntries.position))
    .limit(1);
  return row === undefined ? null : new Date(row.at);
}

/** The newest batches, open and closed, with all that counts for what is in them and what it was filled into. */
export async function listFillable(db: Executor, makerId: string, { most, behind }: Part) {
  const newest = await db
    .select({ id: batches.id, code: batches.code, formula: batches.formula, steps: batches.steps, startedAt: batches.startedAt })
    .from(batches)
    .where(and(eq(batches.makerId, makerId), behindRow(makerId, { moment: batches.startedAt, id: batches.id }, behind)))
    .orderBy(desc(batches.startedAt), desc(batches.id))
    .limit(most);
  return withEntries(db, makerId, newest, notInArray(batchEntries.kind, ["noted", "photographed"]));
}

/** The newest batches with a material in them: the lines that hold it, and what was weighed, read and dosed. */
export async function listHolding(db: Executor, makerId: string, material: string, most: number) {
  // The version of a batch tells what is in it; one whose formula is gone is looked at itself. With an offset the planner looks
  // version by version; without one it may first gather all lines there are.
  const holds = sql`(${batches.versionId} is null or exists (select from lines l join materials m on m.id = l.material_id
    where l.version_id = ${batches.versionId} and m.slug = ${material} offset 0))`;
  const lines = sql<readonly FormulaLine[]>`jsonb_path_query_array(${batches.formula}, '$.lines[*] ? (@.material == $of)',
    jsonb_build_object('of', ${material}::text))`;
  const newest = await db
    .select({ id: batches.id, code: batches.code, lines })
    .from(batches)
    .where(and(eq(batches.makerId, makerId), holds))
    .orderBy(desc(batches.startedAt), desc(batches.id))
    .limit(most);
  const holding = newest.filter(({ lines }) => lines.length > 0);
  return withEntries(db, makerId, holding, besideOthers(makerId, holding));
}

/**
 * Entries that tell what a line did: of pH readings one after the other the first and the last, since those between are on
 * neither side of it; all of them where anything was taken back.
 */
function besideOthers(makerId: string, of: readonly { readonly id: string }[]): SQL {
  const { id, batchId, kind, position } = batchEntries;
  const asked = and(
    eq(batchEntries.makerId, makerId),
    inArray(
      batchId,
      of.map((batch) => batch.id),
    ),
    inArray(kind, ["weighed", "ph-read", "thickness-read", "looked", "dosed", "salted", "thickened", "taken-back"]),
  );
  return sql`${id} in (select e.id from (select ${id}, ${kind}, lag(${kind}) over in_order as before, lead(${kind}) over in_order as after,
      bool_or(${kind} = 'taken-back') over (partition by ${batchId}) as has_taken_back
    from ${batchEntries} where ${asked} window in_order as (partition by ${batchId} order by ${position})) e
    where e.kind <> 'ph-read' or e.has_taken_back or e.before is distinct from 'ph-read' or e.after is distinct from 'ph-read')`;
}

/** The last finished batch of a version in which something was dosed, with what was weighed, read and dosed; or `undefined`. */
export async function findLastTuned(db: Executor, makerId: string, versionId: string) {
  const dosed = sql`exists (select from batch_entries e where e.batch_id = ${batches.id} and e.kind = 'dosed')`;
  const [batch] = await db
    .select({ id: batches.id, code: batches.code, batchGrams: batches.batchGrams })
    .from(batches)
    .where(and(eq(batches.makerId, makerId), eq(batches.versionId, versionId), isNotNull(batches.finishedAt), dosed))
    .orderBy(desc(batches.finishedAt))
    .limit(1);
  if (batch === undefined) return undefined;
  const rows = await db
    .select({ entry: batchEntries.entry })
    .from(batchEntries)
    .where(
      and(
        eq(batchEntries.makerId, makerId),
        eq(batchEntries.batchId, batch.id),
        inArray(batchEntries.kind, ["weighed", "ph-read", "dosed", "salted", "thickened", "taken-back"]),
      ),
    )
    .orderBy(asc(batchEntries.position));
  return { code: batch.code, batchGrams: batch.batchGrams, entries: rows.map(({ entry }) => entry) };
}

/** The lots promised to the lines of a batch. */
export async function listBatchLots(db: Executor, makerId: string, batchId: string) {
  return db
    .select({
      line: batchLots.lineId,
      lotId: batchLots.lotId,
      grams: batchLots.grams,
      code: lots.code,
      endsOn: lotEnd,
      onHold: lots.onHold,
    })
    .from(batchLots)
    .innerJoin(lots, eq(lots.id, batchLots.lotId))
    .where(and(eq(batchLots.makerId, makerId), eq(batchLots.batchId, batchId)))
    .orderBy(asc(batchLots.lineId), asc(batchLots.position));
}

/** Codes that begin so, to find the next free one. */
export async function codesOfBatches(db: Executor, makerId: string, start: string) {
  const rows = await db
    .select({ code: batches.code })
    .from(batches)
    .where(and(eq(batches.makerId, makerId), sql`starts_with(${batches.code}, ${start})`));
  return rows.map(({ code }) => code);
}

/** What batches were filled into, and to whom it went where that was noted. */
export async function listFilledContainers(db: Executor, makerId: string, batchIds: readonly string[]) {
  if (batchIds.length === 0) return [];
  const { batchId, rowId, containerId, name, use, count, grams } = batchContainers;
  return db
    .select({
      batchId,
      rowId,
      containerId,
      name,
      use,
      count,
      grams,
      toWhom: sql<string>`coalesce(${givenContainers.toWhom}, '')`,
      openedOn: givenContainers.openedOn,
    })
    .from(batchContainers)
    .leftJoin(
      givenContainers,
      and(
        eq(givenContainers.batchId, batchContainers.batchId),
        eq(givenContainers.rowId, batchContainers.rowId),
        eq(givenContainers.makerId, batchContainers.makerId),
      ),
    )
    .where(and(eq(batchContainers.makerId, makerId), inArray(batchContainers.batchId, [...batchIds])))
    .orderBy(asc(batchContainers.batchId), asc(batchContainers.rowId));
}
