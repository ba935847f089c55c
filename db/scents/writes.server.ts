import { and, eq, max, sql } from "drizzle-orm";
import type { Executor } from "../client.server";
import { insertOwnMaterial, type OwnMaterial } from "../materials/queries.server";
import { scentCounts, scentRounds, scents, type countedIn } from "./schema";

export interface NewRound {
  readonly id: string;
  readonly countedIn: (typeof countedIn)[number];
  readonly note: string;
  /** Now where it is left out. */
  readonly madeAt?: Date;
  readonly counts: readonly { readonly materialId: string; readonly count: number; readonly dropMilligrams: number | null }[];
}

/** A new scent, without a round yet. */
export async function insertScent(db: Executor, makerId: string, scent: { readonly id: string; readonly name: string }): Promise<void> {
  await db.insert(scents).values({ ...scent, makerId });
}

/** The next round of a scent. Returns its number, or `undefined` when there is no such scent. */
export async function addRound(db: Executor, makerId: string, scentId: string, round: NewRound): Promise<number | undefined> {
  return db.transaction(async (tx) => {
    const [scent] = await tx
      .select({ id: scents.id })
      .from(scents)
      .where(and(eq(scents.makerId, makerId), eq(scents.id, scentId)))
      .for("update");
    if (scent === undefined) return undefined;
    const [last] = await tx
      .select({ number: max(scentRounds.number) })
      .from(scentRounds)
      .where(and(eq(scentRounds.makerId, makerId), eq(scentRounds.scentId, scentId)));
    const number = (last?.number ?? 0) + 1;
    const { counts, madeAt = sql`clock_timestamp()`, ...head } = round;
    await tx.insert(scentRounds).values({ ...head, makerId, scentId, number, madeAt });
    await tx.insert(scentCounts).values(counts.map((count, position) => ({ ...count, makerId, roundId: round.id, position })));
    return number;
  });
}

/** Keeps a round as a material of the maker's own. Returns whether there was such a round. */
export async function keepRound(db: Executor, makerId: string, roundId: string, material: OwnMaterial): Promise<boolean> {
  return db.transaction(async (tx) => {
    const mine = and(eq(scentRounds.makerId, makerId), eq(scentRounds.id, roundId));
    const [round] = await tx.select({ id: scentRounds.id }).from(scentRounds).where(mine).for("update");
    if (round === undefined) return false;
    await insertOwnMaterial(tx, makerId, material);
    await tx.update(scentRounds).set({ materialId: material.id }).where(mine);
    return true;
  });
}

/** Takes a scent away with its rounds; what it was kept as stays. Returns whether there was one. */
export async function deleteScent(db: Executor, makerId: string, scentId: string): Promise<boolean> {
  const gone = await db
    .delete(scents)
    .where(and(eq(scents.makerId, makerId), eq(scents.id, scentId)))
    .returning({ id: scents.id });
  return gone.length > 0;
}
