import { eq, sql } from "drizzle-orm";
import type { Executor } from "../client.server";
import { makers } from "./schema";

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
