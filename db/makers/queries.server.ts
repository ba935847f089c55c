import { eq, sql } from "drizzle-orm";
import type { Executor } from "../client.server";
import { makers, type MassUnit } from "./schema";

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
