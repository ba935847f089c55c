import type { Formula } from "@tensidrum/core/formula";
import type { BatchEntry, Step, Vessel } from "@tensidrum/core/making";
import { bookedForBatch, type Booked, type LotShare } from "@tensidrum/core/stock";
import { and, asc, eq, inArray, sql } from "drizzle-orm";
import type { Executor } from "../client.server";
import { lots, movements } from "../stock/schema";
import { batchEntries, batches, batchLots } from "./schema";

export interface NewBatch {
  readonly id: string;
  readonly versionId: string;
  readonly code: string;
  readonly formula: Formula;
  readonly steps: readonly Step[];
  readonly vessels: readonly Vessel[];
  readonly coreVersion: string;
}

/** Begins a batch and promises its lots to it, all or nothing. Returns the lots that do not hold enough any more; none: it is begun. */
export async function beginBatch(db: Executor, makerId: string, batch: NewBatch, shares: readonly LotShare[]): Promise<readonly string[]> {
  return db.transaction(async (tx) => {
    const free = await freeOf(tx, makerId, [...new Set(shares.map(({ lotId }) => lotId))]);
    const wanted = new Map<string, number>();
    for (const { lotId, grams } of shares) wanted.set(lotId, (wanted.get(lotId) ?? 0) + grams);
    const short = [...wanted].filter(([lotId, grams]) => grams > (free.get(lotId) ?? 0) + 1e-6).map(([lotId]) => lotId);
    if (short.length > 0) return short;
    await tx.insert(batches).values({ ...batch, makerId });
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

/**
 * Enters what happened, each entry once however often it is sent. `after` sees all entries of the batch and says what each
 * lot is to have promised and used, and whether the batch is through; the books follow in the same transaction. Returns
 * `false` when there is no such batch.
 */
export async function addEntries(
  db: Executor,
  makerId: string,
  batchId: string,
  work: {
    readonly entries: readonly BatchEntry[];
    readonly after: (all: readonly BatchEntry[]) => { readonly lots: ReadonlyMap<string, Booked>; readonly finishedAt: Date | null };
  },
): Promise<boolean> {
  return db.transaction(async (tx) => {
    const mine = and(eq(batches.makerId, makerId), eq(batches.id, batchId));
    const [batch] = await tx.select({ code: batches.code }).from(batches).where(mine).for("update");
    if (batch === undefined) return false;
    if (work.entries.length > 0) {
      await tx
        .insert(batchEntries)
        .values(work.entries.map((entry) => ({ id: entry.id, batchId, makerId, kind: entry.kind, entry })))
        .onConflictDoNothing();
    }
    const rows = await tx
      .select({ entry: batchEntries.entry })
      .from(batchEntries)
      .where(and(eq(batchEntries.makerId, makerId), eq(batchEntries.batchId, batchId)))
      .orderBy(asc(batchEntries.position));
    const { lots: wanted, finishedAt } = work.after(rows.map(({ entry }) => entry));
    await tx.update(batches).set({ finishedAt }).where(mine);
    const books = await booksOf(tx, makerId, batchId);
    const bookings = [...wanted].flatMap(([lotId, booked]) =>
      bookedForBatch(books.get(lotId) ?? { reservedGrams: 0, usedGrams: 0 }, booked).map((booking) => ({
        ...booking,
        id: crypto.randomUUID(),
        makerId,
        lotId,
        batchId,
        note: batch.code,
      })),
    );
    if (bookings.length > 0) await tx.insert(movements).values(bookings);
    return true;
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
