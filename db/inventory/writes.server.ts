import { and, eq, inArray, isNull, sql } from "drizzle-orm";
import type { Executor } from "../client.server";
import { insertOwnMaterial, type OwnMaterial } from "../materials/queries.server";
import { lots, lotSources, movements, type MovementKind } from "./schema";

export interface NewLot {
  readonly id: string;
  readonly materialId: string;
  readonly code: string;
  readonly supplier: string;
  readonly assayPercent: number | null;
  readonly packGrams: number;
  readonly price: number | null;
  readonly openedOn: string | null;
  readonly endsOn: string | null;
  readonly afterOpeningDays?: number | null;
  readonly note: string;
}

export interface NewMovement {
  readonly kind: MovementKind;
  /** Signed, g. */
  readonly grams: number;
  readonly note: string;
}

/** A lot with what came in it. */
export async function receiveLot(db: Executor, makerId: string, lot: NewLot, movementId: string): Promise<void> {
  await receiveLots(db, makerId, [{ lot, movementId }]);
}

/** So many rows go in one statement; PostgreSQL counts at most 65,535 values. */
const ROWS_AT_ONCE = 1000;

/** Many lots with what came in each: all of them or none. */
export async function receiveLots(
  db: Executor,
  makerId: string,
  received: readonly { readonly lot: NewLot; readonly movementId: string }[],
): Promise<void> {
  await db.transaction(async (tx) => {
    for (let from = 0; from < received.length; from += ROWS_AT_ONCE) {
      const some = received.slice(from, from + ROWS_AT_ONCE);
      await tx.insert(lots).values(some.map(({ lot }) => ({ ...lot, makerId })));
      await tx
        .insert(movements)
        .values(
          some.map(({ lot, movementId }) => ({ id: movementId, makerId, lotId: lot.id, kind: "receive" as const, grams: lot.packGrams })),
        );
    }
  });
}

/**
 * Adds a movement to a lot's ledger. `work` sees what the lot holds while nobody else can add, and says what is to be
 * entered; one that was entered before, told by its id, is not entered again. Returns `false` when there is no such lot.
 */
export async function addMovement(
  db: Executor,
  makerId: string,
  { lotId, movementId, today }: { readonly lotId: string; readonly movementId: string; readonly today?: string | undefined },
  work: (held: { readonly freeGrams: number; readonly leftGrams: number }) => NewMovement,
): Promise<boolean> {
  return db.transaction(async (tx) => {
    const [lot] = await tx
      .select({ id: lots.id })
      .from(lots)
      .where(and(eq(lots.makerId, makerId), eq(lots.id, lotId)))
      .for("update");
    if (lot === undefined) return false;
    const [entered] = await tx
      .select({ id: movements.id })
      .from(movements)
      .where(and(eq(movements.makerId, makerId), eq(movements.id, movementId)));
    if (entered !== undefined) return true;
    const [sums] = await tx
      .select({
        free: sql<number>`coalesce(sum(${movements.grams}), 0)`.mapWith(Number),
        left: sql<number>`coalesce(sum(${movements.grams}) filter (where ${movements.kind} not in ('reserve', 'release')), 0)`.mapWith(
          Number,
        ),
      })
      .from(movements)
      .where(and(eq(movements.makerId, makerId), eq(movements.lotId, lotId)));
    const movement = work({ freeGrams: sums?.free ?? 0, leftGrams: sums?.left ?? 0 });
    await tx.insert(movements).values({ ...movement, id: movementId, makerId, lotId });
    if (movement.kind === "use") await openByUse(tx, makerId, [lotId], today);
    return true;
  });
}

/**
 * Lots that something was taken of are open from today on, unless they were open before. Today is the day where the maker is;
 * absent: where the database is.
 */
export async function openByUse(db: Executor, makerId: string, lotIds: readonly string[], today?: string): Promise<void> {
  if (lotIds.length === 0) return;
  await db
    .update(lots)
    .set({ openedOn: today ?? sql`current_date` })
    .where(and(eq(lots.makerId, makerId), inArray(lots.id, [...lotIds]), isNull(lots.openedOn)));
}

/** Corrects when a lot was opened and how long it keeps. Returns whether there is such a lot. */
export async function dateLot(
  db: Executor,
  makerId: string,
  lotId: string,
  dates: { readonly openedOn: string | null; readonly endsOn: string | null; readonly afterOpeningDays: number | null },
): Promise<boolean> {
  const changed = await db
    .update(lots)
    .set(dates)
    .where(and(eq(lots.makerId, makerId), eq(lots.id, lotId)))
    .returning({ id: lots.id });
  return changed.length > 0;
}

/** Takes a lot away that was typed by mistake. One that has been used stays: the database refuses. */
export async function deleteLot(db: Executor, makerId: string, lotId: string): Promise<boolean> {
  const gone = await db
    .delete(lots)
    .where(and(eq(lots.makerId, makerId), eq(lots.id, lotId)))
    .returning({ id: lots.id });
  return gone.length > 0;
}

/** What is taken of a lot, once what it holds is known. */
export interface Taking {
  readonly lotId: string;
  readonly movementId: string;
  readonly work: Parameters<typeof addMovement>[3];
}

/**
 * Puts something made here on the shelf: its material unless it is there already, its lot, and what was taken of other
 * lots for it; all or nothing. Returns `false`, and stores nothing, when a lot to take from is not there.
 */
export async function shelveMadeLot(
  db: Executor,
  makerId: string,
  made: {
    readonly material: OwnMaterial | null;
    readonly lot: NewLot;
    readonly movementId: string;
    readonly taken: readonly Taking[];
  },
): Promise<boolean> {
  return db.transaction(async (tx) => {
    for (const { work, ...ids } of made.taken) {
      if (!(await addMovement(tx, makerId, { ...ids, today: made.lot.openedOn ?? undefined }, work))) return false;
    }
    if (made.material !== null) await insertOwnMaterial(tx, makerId, made.material);
    await receiveLot(tx, makerId, made.lot, made.movementId);
    const from = [...new Set(made.taken.map(({ lotId }) => lotId))];
    if (from.length > 0) {
      await tx.insert(lotSources).values(from.map((fromLotId) => ({ lotId: made.lot.id, fromLotId, makerId })));
    }
    return true;
  });
}

/** Puts a lot on hold with why, or with an empty text takes the hold off. Returns whether there is such a lot. */
export async function holdLot(db: Executor, makerId: string, lotId: string, why: string): Promise<boolean> {
  const changed = await db
    .update(lots)
    .set({ onHold: why })
    .where(and(eq(lots.makerId, makerId), eq(lots.id, lotId)))
    .returning({ id: lots.id });
  return changed.length > 0;
}
