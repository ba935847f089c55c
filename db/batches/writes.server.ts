import type { Formula } from "@tensidrum/core/formula";
import type { BatchEntry, FillUse, Step, Vessel } from "@tensidrum/core/process";
import { bookedForBatch, type Booked, type LotShare } from "@tensidrum/core/inventory";
import { and, asc, eq, inArray, isNotNull, sql } from "drizzle-orm";
import type { Executor } from "../client.server";
import { containers } from "../containers/schema";
import { openByUse } from "../inventory/writes.server";
import { lots, movements } from "../inventory/schema";
import { batchContainers, batchEntries, batches, batchLots, batchPhotos, givenContainers } from "./schema";

export interface NewBatch {
  readonly id: string;
  readonly versionId: string;
  readonly code: string;
  readonly formula: Formula;
  readonly steps: readonly Step[];
  readonly vessels: readonly Vessel[];
  readonly coreVersion: string;
  /** Absent: now. */
  readonly startedAt?: Date;
  /** What is known from the start: the empty beakers. */
  readonly entries: readonly BatchEntry[];
}

/** Begins a batch and promises its lots to it, all or nothing. Returns the lots that do not hold enough any more; none: it is begun. */
export async function beginBatch(
  db: Executor,
  makerId: string,
  { entries, ...batch }: NewBatch,
  shares: readonly LotShare[],
): Promise<readonly string[]> {
  return db.transaction(async (tx) => {
    const free = await freeOf(tx, makerId, [...new Set(shares.map(({ lotId }) => lotId))]);
    const wanted = new Map<string, number>();
    for (const { lotId, grams } of shares) wanted.set(lotId, (wanted.get(lotId) ?? 0) + grams);
    const short = [...wanted].filter(([lotId, grams]) => grams > (free.get(lotId) ?? 0) + 1e-6).map(([lotId]) => lotId);
    if (short.length > 0) return short;
    await tx.insert(batches).values({ ...batch, makerId });
    await insertEntries(tx, makerId, batch.id, entries);
    if (shares.length === 0) return [];
    await tx
      .insert(batchLots)
      .values(shares.map(({ lotId, line, grams }, position) => ({ batchId: batch.id, makerId, lotId, lineId: line, grams, position })));
    await tx.insert(movements).values(
      [...wanted].map(([lotId, grams]) => ({
        id: crypto.randomUUID(),
        makerId,
        lotId,
        batchId: batch.id,
        kind: "reserve" as const,
        grams: -grams,
        note: batch.code,
        ...(batch.startedAt === undefined ? {} : { madeAt: batch.startedAt }),
      })),
    );
    return [];
  });
}

/** What is free of lots, g; they are held so that nobody else can take of them until the transaction is through. */
async function freeOf(db: Executor, makerId: string, lotIds: readonly string[]): Promise<ReadonlyMap<string, number>> {
  if (lotIds.length === 0) return new Map();
  const mine = and(eq(lots.makerId, makerId), inArray(lots.id, [...lotIds]));
  await db.select({ id: lots.id }).from(lots).where(mine).orderBy(asc(lots.id)).for("update");
  const rows = await db
    .select({ lotId: movements.lotId, free: sql<number>`sum(${movements.grams})`.mapWith(Number) })
    .from(movements)
    .where(and(eq(movements.makerId, makerId), inArray(movements.lotId, [...lotIds])))
    .groupBy(movements.lotId);
  return new Map(rows.map(({ lotId, free }) => [lotId, free]));
}

/** What is to be stored of what was sent, and how batch and books stand afterwards. */
export interface Decision {
  readonly entries: readonly BatchEntry[];
  readonly lots: ReadonlyMap<string, Booked>;
  /** What has been filled by now. */
  readonly filled: readonly FilledRow[];
  readonly finishedAt: Date | null;
  /** When the books are told of it; absent: now. */
  readonly booked?: Booking;
}

/** A moment, and which day it is where the maker is. */
export interface Booking {
  readonly at: Date;
  readonly on: string;
}

/** Containers of one row of the plan that were filled. */
export interface FilledRow {
  readonly rowId: string;
  readonly containerId: string | null;
  readonly name: string;
  readonly use: FillUse;
  readonly count: number;
  readonly grams: number;
}

/**
 * Enters what happened, each entry once however often it is sent. `decide` sees all entries there are, while nobody else
 * can add any, and says what to store; the books of the lots follow in the same transaction. Returns `false` when there is
 * no such batch.
 */
export async function addEntries(
  db: Executor,
  makerId: string,
  batchId: string,
  decide: (stored: readonly BatchEntry[]) => Decision,
): Promise<boolean> {
  return db.transaction(async (tx) => {
    const mine = and(eq(batches.makerId, makerId), eq(batches.id, batchId));
    const [batch] = await tx.select({ code: batches.code }).from(batches).where(mine).for("update");
    if (batch === undefined) return false;
    const rows = await tx
      .select({ entry: batchEntries.entry })
      .from(batchEntries)
      .where(and(eq(batchEntries.makerId, makerId), eq(batchEntries.batchId, batchId)))
      .orderBy(asc(batchEntries.position));
    const { entries, lots: wanted, filled, finishedAt, booked } = decide(rows.map(({ entry }) => entry));
    if (entries.length === 0) return true;
    await insertEntries(tx, makerId, batchId, entries);
    await tx.update(batches).set({ finishedAt }).where(mine);
    await book(tx, makerId, { id: batchId, code: batch.code, booked }, wanted);
    await bookContainers(tx, makerId, batchId, filled);
    return true;
  });
}

/** What was filled, as it is now; containers that are counted on the shelf become fewer, or come back with what was taken back. */
async function bookContainers(db: Executor, makerId: string, batchId: string, filled: readonly FilledRow[]): Promise<void> {
  const ofBatch = and(eq(batchContainers.makerId, makerId), eq(batchContainers.batchId, batchId));
  const before = await db
    .select({ rowId: batchContainers.rowId, containerId: batchContainers.containerId, count: batchContainers.count })
    .from(batchContainers)
    .where(ofBatch);
  if (before.length === 0 && filled.length === 0) return;
  const more = new Map<string, number>();
  const count = (rows: readonly Pick<FilledRow, "containerId" | "count">[], sign: 1 | -1): void => {
    for (const { containerId, count: pieces } of rows) {
      if (containerId !== null) more.set(containerId, (more.get(containerId) ?? 0) + sign * pieces);
    }
  };
  count(filled, 1);
  count(before, -1);
  await db.delete(batchContainers).where(ofBatch);
  const changed = [...more.keys()].sort();
  const known = new Set(
    changed.length === 0
      ? []
      : (
          await db
            .select({ id: containers.id })
            .from(containers)
            .where(and(eq(containers.makerId, makerId), inArray(containers.id, changed)))
        ).map(({ id }) => id),
  );
  for (const id of changed) {
    const taken = more.get(id) ?? 0;
    if (taken === 0 || !known.has(id)) continue;
    await db
      .update(containers)
      .set({ pieces: sql`greatest(0, ${containers.pieces} - ${taken}::int)` })
      .where(and(eq(containers.makerId, makerId), eq(containers.id, id), isNotNull(containers.pieces)));
  }
  if (filled.length === 0) return;
  await db.insert(batchContainers).values(
    filled.map((row) => ({
      ...row,
      containerId: row.containerId !== null && known.has(row.containerId) ? row.containerId : null,
      batchId,
      makerId,
    })),
  );
}

/** Enters what the ledger lacks, so that it says what a batch has reserved and used of each lot. */
async function book(
  db: Executor,
  makerId: string,
  batch: { readonly id: string; readonly code: string; readonly booked?: Booking | undefined },
  wanted: ReadonlyMap<string, Booked>,
): Promise<void> {
  const books = await booksOf(db, makerId, batch.id);
  const bookings = [...wanted].flatMap(([lotId, booked]) =>
    bookedForBatch(books.get(lotId) ?? { reservedGrams: 0, usedGrams: 0 }, booked).map((booking) => ({
      ...booking,
      id: crypto.randomUUID(),
      makerId,
      lotId,
      batchId: batch.id,
      note: batch.code,
      ...(batch.booked === undefined ? {} : { madeAt: batch.booked.at }),
    })),
  );
  if (bookings.length > 0) await db.insert(movements).values(bookings);
  await openByUse(
    db,
    makerId,
    bookings.flatMap(({ kind, lotId }) => (kind === "use" ? [lotId] : [])),
    batch.booked?.on,
  );
}

/**
 * Changes which lots the lines of a batch were weighed from. `decide` sees the shares and all entries, while nobody else can
 * add any, and says the shares as they really were and what of each lot was reserved and used; the ledger follows in the
 * same transaction. Returns `false` when there is no such batch, or when `decide` says there is nothing to change.
 */
export async function changeShares(
  db: Executor,
  makerId: string,
  batchId: string,
  decide: (
    shares: readonly LotShare[],
    stored: readonly BatchEntry[],
  ) => { readonly shares: readonly LotShare[]; readonly lots: ReadonlyMap<string, Booked>; readonly booked?: Booking } | null,
): Promise<boolean> {
  return db.transaction(async (tx) => {
    const mine = and(eq(batches.makerId, makerId), eq(batches.id, batchId));
    const [batch] = await tx.select({ id: batches.id, code: batches.code }).from(batches).where(mine).for("update");
    if (batch === undefined) return false;
    const ofBatch = and(eq(batchLots.makerId, makerId), eq(batchLots.batchId, batchId));
    const shares = await tx
      .select({ lotId: batchLots.lotId, line: batchLots.lineId, grams: batchLots.grams })
      .from(batchLots)
      .where(ofBatch)
      .orderBy(asc(batchLots.position));
    const rows = await tx
      .select({ entry: batchEntries.entry })
      .from(batchEntries)
      .where(and(eq(batchEntries.makerId, makerId), eq(batchEntries.batchId, batchId)))
      .orderBy(asc(batchEntries.position));
    const decided = decide(
      shares,
      rows.map(({ entry }) => entry),
    );
    if (decided === null) return false;
    await tx.delete(batchLots).where(ofBatch);
    if (decided.shares.length > 0) {
      await tx
        .insert(batchLots)
        .values(decided.shares.map(({ lotId, line, grams }, position) => ({ batchId, makerId, lotId, lineId: line, grams, position })));
    }
    await book(tx, makerId, { ...batch, booked: decided.booked }, decided.lots);
    return true;
  });
}

async function insertEntries(db: Executor, makerId: string, batchId: string, entries: readonly BatchEntry[]): Promise<void> {
  if (entries.length === 0) return;
  await db
    .insert(batchEntries)
    .values(entries.map((entry) => ({ id: entry.id, batchId, makerId, kind: entry.kind, entry })))
    .onConflictDoNothing();
}

/** A picture as it is kept: a JPEG with its sides in pixels. */
export interface NewPhoto {
  readonly id: string;
  readonly picture: Buffer;
  readonly width: number;
  readonly height: number;
}

/** Keeps a picture together with the entry that tells of it. Returns `false` when there is no such batch. */
export async function addPhoto(
  db: Executor,
  makerId: string,
  batchId: string,
  { photo, decide }: { readonly photo: NewPhoto; readonly decide: (stored: readonly BatchEntry[]) => Decision },
): Promise<boolean> {
  return db.transaction(async (tx) => {
    const [batch] = await tx
      .select({ id: batches.id })
      .from(batches)
      .where(and(eq(batches.makerId, makerId), eq(batches.id, batchId)));
    if (batch === undefined) return false;
    await tx
      .insert(batchPhotos)
      .values({ ...photo, batchId, makerId })
      .onConflictDoNothing();
    return addEntries(tx, makerId, batchId, decide);
  });
}

async function booksOf(db: Executor, makerId: string, batchId: string): Promise<ReadonlyMap<string, Booked>> {
  const rows = await db
    .select({
      lotId: movements.lotId,
      reservedGrams: sql<number>`coalesce(-sum(${movements.grams}) filter (where ${movements.kind} in ('reserve', 'release')), 0)`.mapWith(
        Number,
      ),
      usedGrams: sql<number>`coalesce(-sum(${movements.grams}) filter (where ${movements.kind} in ('use', 'correct')), 0)`.mapWith(Number),
    })
    .from(movements)
    .where(and(eq(movements.makerId, makerId), eq(movements.batchId, batchId)))
    .groupBy(movements.lotId);
  return new Map(rows.map(({ lotId, ...booked }) => [lotId, booked]));
}

/**
 * Takes a batch of the demo out of the books, so that it can be laid in anew: what a maker made stays in them. Returns whether
 * there was one.
 */
export async function withdrawDemoBatch(db: Executor, makerId: string, batchId: string): Promise<boolean> {
  return db.transaction(async (tx) => {
    const mine = and(eq(batches.makerId, makerId), eq(batches.id, batchId));
    const [batch] = await tx.select({ id: batches.id }).from(batches).where(mine).for("update");
    if (batch === undefined) return false;
    await bookContainers(tx, makerId, batchId, []);
    await tx.execute(sql`select set_config('tensidrum.renewing_demo', 'on', true)`);
    const gone = await tx
      .delete(movements)
      .where(and(eq(movements.makerId, makerId), eq(movements.batchId, batchId)))
      .returning({ lotId: movements.lotId });
    await tx.execute(sql`select set_config('tensidrum.renewing_demo', 'off', true)`);
    await countBalances(tx, makerId, [...new Set(gone.map(({ lotId }) => lotId))]);
    await tx.delete(batches).where(mine);
    return true;
  });
}

/** Counts anew what is left of lots whose books became shorter. */
async function countBalances(db: Executor, makerId: string, lotIds: readonly string[]): Promise<void> {
  if (lotIds.length === 0) return;
  const wanted = sql.join(
    lotIds.map((id) => sql`${id}::uuid`),
    sql`, `,
  );
  await db.execute(sql`update lot_balances b
    set free_grams = s.free, left_grams = s.left, is_untouched = s.untouched
    from (
      select lot_id, sum(grams) as free, coalesce(sum(grams) filter (where kind not in ('reserve', 'release')), 0) as left,
        bool_and(kind = 'receive') as untouched
      from movements where maker_id = ${makerId} and lot_id in (${wanted}) group by lot_id
    ) s where b.lot_id = s.lot_id and b.maker_id = ${makerId}`);
}

/** What is noted of the containers of a row once they are filled. */
export interface GivenNote {
  readonly toWhom: string;
  /** Written 2026-11-26; null while they are closed. */
  readonly openedOn: string | null;
}

/** Notes to whom the containers of a row went and since when they are open; with neither the note goes. */
export async function noteGiven(
  db: Executor,
  makerId: string,
  { batchId, rowId }: { readonly batchId: string; readonly rowId: string },
  { toWhom, openedOn }: GivenNote,
): Promise<void> {
  if (toWhom === "" && openedOn === null) {
    await db
      .delete(givenContainers)
      .where(and(eq(givenContainers.makerId, makerId), eq(givenContainers.batchId, batchId), eq(givenContainers.rowId, rowId)));
    return;
  }
  await db
    .insert(givenContainers)
    .values({ batchId, makerId, rowId, toWhom, openedOn })
    .onConflictDoUpdate({
      target: [givenContainers.batchId, givenContainers.rowId],
      set: { toWhom, openedOn },
      setWhere: eq(givenContainers.makerId, makerId),
    });
}
