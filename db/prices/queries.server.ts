import type { PriceWish } from "@tensidrum/core/packaging";
import { and, desc, eq, sql } from "drizzle-orm";
import type { Executor } from "../client.server";
import { materials } from "../materials/schema";
import { offers, priceWishes } from "./schema";

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

export interface NewOffer {
  readonly id: string;
  readonly materialId: string;
  readonly supplier: string;
  readonly packGrams: number;
  readonly price: number;
  readonly leastPacks: number;
}

/** What suppliers ask, as the maker typed it, the newest first; of one material or of all. */
export async function listOffers(db: Executor, makerId: string, materialId: string | null) {
  const { id, supplier, packGrams, price, leastPacks, seenAt } = offers;
  return db
    .select({ id, supplier, packGrams, price, leastPacks, seenAt, material: materials.slug })
    .from(offers)
    .innerJoin(materials, eq(materials.id, offers.materialId))
    .where(and(eq(offers.makerId, makerId), materialId === null ? undefined : eq(offers.materialId, materialId)))
    .orderBy(desc(seenAt), id);
}

/** Keeps a price; the same pack of the same supplier has one. */
export async function saveOffer(db: Executor, makerId: string, offer: NewOffer): Promise<void> {
  const { price, leastPacks } = offer;
  await db
    .insert(offers)
    .values({ ...offer, makerId })
    .onConflictDoUpdate({
      target: [offers.makerId, offers.materialId, offers.supplier, offers.packGrams],
      set: { price, leastPacks, seenAt: sql`clock_timestamp()` },
    });
}

/** Drops a price. Returns whether there was such a price. */
export async function dropOffer(db: Executor, makerId: string, offerId: string): Promise<boolean> {
  const gone = await db
    .delete(offers)
    .where(and(eq(offers.makerId, makerId), eq(offers.id, offerId)))
    .returning({ id: offers.id });
  return gone.length > 0;
}
