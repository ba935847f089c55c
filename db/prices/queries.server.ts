import type { PriceWish } from "@tensidrum/core/packaging";
import { desc, eq, sql } from "drizzle-orm";
import type { Executor } from "../client.server";
import { priceWishes } from "./schema";

/** What was settled for a formula; where nothing was, what was settled last for another, but for its shop. */
export async function findPriceWish(db: Executor, makerId: string, formulaId: string | null): Promise<PriceWish | undefined> {
  const { labelEach, marginPercent, taxPercent, shopPer100Grams } = priceWishes;
  const isOwn = sql<boolean>`${priceWishes.formulaId} is not distinct from ${formulaId}::uuid`;
  const [row] = await db
    .select({ isOwn, labelEach, marginPercent, taxPercent, shopPer100Grams })
    .from(priceWishes)
    .where(eq(priceWishes.makerId, makerId))
    .orderBy(desc(isOwn), desc(priceWishes.updatedAt))
    .limit(1);
  if (row === undefined) return undefined;
  const { isOwn: own, ...wish } = row;
  return own ? wish : { ...wish, shopPer100Grams: null };
}

/** Keeps what is settled for a formula. */
export async function savePriceWish(db: Executor, makerId: string, formulaId: string, wish: PriceWish): Promise<void> {
  const { labelEach, marginPercent, taxPercent, shopPer100Grams } = wish;
  const values = { labelEach, marginPercent, taxPercent, shopPer100Grams };
  await db
    .insert(priceWishes)
    .values({ makerId, formulaId, ...values })
    .onConflictDoUpdate({ target: [priceWishes.makerId, priceWishes.formulaId], set: { ...values, updatedAt: sql`clock_timestamp()` } });
}
