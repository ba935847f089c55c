import { eq, inArray, sql } from "drizzle-orm";
import type { Executor } from "../client.server";
import { feeds, makers, sessions, type MassUnit } from "./schema";

export async function findMaker(db: Executor, makerId: string) {
  const [maker] = await db.select().from(makers).where(eq(makers.id, makerId));
  return maker;
}

/** Puts the maker there unless they are; returns whether the demo formulas have been decided on before. */
export async function ensureMaker(db: Executor, maker: { readonly id: string; readonly name: string }): Promise<boolean> {
  await db.insert(makers).values(maker).onConflictDoNothing();
  const found = await findMaker(db, maker.id);
  return found?.demoDecidedAt != null;
}

export async function markDemoDecided(db: Executor, makerId: string): Promise<void> {
  await db
    .update(makers)
    .set({ demoDecidedAt: sql`now()` })
    .where(eq(makers.id, makerId));
}

/** In what the maker computes: money and mass. */
export interface MakerUnits {
  readonly currency: string;
  readonly massUnit: MassUnit;
}

export async function saveUnits(db: Executor, makerId: string, { currency, massUnit }: MakerUnits): Promise<void> {
  await db.update(makers).set({ currency, massUnit }).where(eq(makers.id, makerId));
}

export async function saveBatchCode(db: Executor, makerId: string, batchCode: string): Promise<void> {
  await db.update(makers).set({ batchCode }).where(eq(makers.id, makerId));
}

/** Constants of the maker's own funnel, from two known liquids. */
export async function saveFunnel(db: Executor, makerId: string, { k, c }: { readonly k: number; readonly c: number }): Promise<void> {
  await db.update(makers).set({ funnelK: k, funnelC: c }).where(eq(makers.id, makerId));
}

/** The session of the machine the application runs on. */
export const THIS_MACHINE = "this-machine";

/**
 * The maker whose session this is. A paired device begins its session as the maker of this machine, who let it in.
 * Undefined before the database is prepared.
 */
export async function makerOfSession(db: Executor, place: string): Promise<string | undefined> {
  const found = await db
    .select({ place: sessions.place, makerId: sessions.makerId })
    .from(sessions)
    .where(inArray(sessions.place, [place, THIS_MACHINE]));
  const makerId = (found.find((session) => session.place === place) ?? found[0])?.makerId;
  if (makerId === undefined) return undefined;
  await beginSession(db, makerId, place);
  return makerId;
}

/** Begins a session unless it has begun. */
export async function beginSession(db: Executor, makerId: string, place: string): Promise<void> {
  await db.insert(sessions).values({ place, makerId }).onConflictDoNothing();
}

/** Since when a calendar may ask for a maker's coming days; null where none may. */
export async function feedSince(db: Executor, makerId: string): Promise<Date | null> {
  const [feed] = await db.select({ since: feeds.since }).from(feeds).where(eq(feeds.makerId, makerId));
  return feed?.since ?? null;
}

/** Keeps the hash of a new address, in place of an earlier one. */
export async function keepFeed(db: Executor, makerId: string, tokenHash: string): Promise<void> {
  await db
    .insert(feeds)
    .values({ makerId, tokenHash })
    .onConflictDoUpdate({ target: feeds.makerId, set: { tokenHash, since: sql`now()` } });
}

export async function dropFeed(db: Executor, makerId: string): Promise<void> {
  await db.delete(feeds).where(eq(feeds.makerId, makerId));
}

/** Whose calendar an address is, by its hash; `undefined` where it was revoked. */
export async function makerOfFeed(db: Executor, tokenHash: string): Promise<string | undefined> {
  const [feed] = await db.select({ makerId: feeds.makerId }).from(feeds).where(eq(feeds.tokenHash, tokenHash));
  return feed?.makerId;
}
