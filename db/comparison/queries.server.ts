import { and, asc, desc, eq, getTableColumns, inArray, sql } from "drizzle-orm";
import type { Executor } from "../client.server";
import { versions } from "../formulas/schema";
import { productPhotos, products, roundReadings, suggestions } from "./schema";

export type ProductRow = typeof products.$inferSelect;
export type NewProduct = Omit<typeof products.$inferInsert, "makerId" | "changedAt">;

const hasPhoto = sql<boolean>`exists (select from product_photos p where p.product_id = products.id)`;

/** The products a maker wants to come close to, by their names. */
export async function listProducts(db: Executor, makerId: string) {
  return db
    .select({ ...getTableColumns(products), hasPhoto })
    .from(products)
    .where(eq(products.makerId, makerId))
    .orderBy(asc(products.name));
}

/** The product a maker calls so, whatever its capitals; `undefined` where there is none. */
export async function findProductCalled(db: Executor, makerId: string, name: string) {
  const [product] = await db
    .select({ ...getTableColumns(products), hasPhoto })
    .from(products)
    .where(and(eq(products.makerId, makerId), sql`lower(${products.name}) = ${name.trim().toLowerCase()}`))
    .limit(1);
  return product;
}

/** One product, or `undefined`. */
export async function findProduct(db: Executor, makerId: string, productId: string) {
  const [product] = await db
    .select({ ...getTableColumns(products), hasPhoto })
    .from(products)
    .where(and(eq(products.makerId, makerId), eq(products.id, productId)));
  return product;
}

export interface NewProductPhoto {
  readonly picture: Buffer;
  readonly width: number;
  readonly height: number;
}

/** Keeps a product, new or as it is now, with its photo where there is one. */
export async function saveProduct(db: Executor, makerId: string, product: NewProduct, photo: NewProductPhoto | null = null): Promise<void> {
  await db.transaction(async (tx) => {
    const { id: _, ...changes } = product;
    const kept = await tx
      .insert(products)
      .values({ ...product, makerId })
      .onConflictDoUpdate({ target: products.id, set: { ...changes, changedAt: sql`now()` }, setWhere: eq(products.makerId, makerId) })
      .returning({ id: products.id });
    if (kept.length === 0 || photo === null) return;
    await tx
      .insert(productPhotos)
      .values({ ...photo, productId: product.id, makerId })
      .onConflictDoUpdate({ target: productPhotos.productId, set: photo });
  });
}

/** Takes a product away. Returns whether there was one. */
export async function deleteProduct(db: Executor, makerId: string, productId: string): Promise<boolean> {
  const gone = await db
    .delete(products)
    .where(and(eq(products.makerId, makerId), eq(products.id, productId)))
    .returning({ id: products.id });
  return gone.length > 0;
}

/** The photo of a product, or `undefined`. */
export async function findProductPhoto(db: Executor, makerId: string, productId: string) {
  const [photo] = await db
    .select({ picture: productPhotos.picture })
    .from(productPhotos)
    .where(and(eq(productPhotos.makerId, makerId), eq(productPhotos.productId, productId)));
  return photo;
}

export type NewRoundReadings = Omit<typeof roundReadings.$inferInsert, "makerId" | "changedAt">;

/** What was measured of versions and what was learned, those that have it. */
export async function listRoundReadings(db: Executor, makerId: string, versionIds: readonly string[]) {
  return db
    .select()
    .from(roundReadings)
    .where(and(eq(roundReadings.makerId, makerId), inArray(roundReadings.versionId, [...versionIds])));
}

/** Keeps what was measured of a version and learned of it, as it is now. */
export async function saveRoundReadings(db: Executor, makerId: string, row: NewRoundReadings): Promise<void> {
  const { versionId: _, ...changes } = row;
  await db
    .insert(roundReadings)
    .values({ ...row, makerId })
    .onConflictDoUpdate({
      target: roundReadings.versionId,
      set: { ...changes, changedAt: sql`now()` },
      setWhere: eq(roundReadings.makerId, makerId),
    });
}

export type NewSuggestion = Omit<typeof suggestions.$inferInsert, "makerId" | "takenAt">;

/** Keeps what a change was expected to do, for the draft it was taken into. */
export async function keepSuggestion(db: Executor, makerId: string, suggestion: NewSuggestion): Promise<void> {
  await db.insert(suggestions).values({ ...suggestion, makerId });
}

/** The suggestions that were taken, the newest first, with the formula they are of. */
export async function listSuggestions(db: Executor, makerId: string, most: number) {
  return db
    .select({ ...getTableColumns(suggestions), formulaId: versions.formulaId, number: versions.number })
    .from(suggestions)
    .innerJoin(versions, and(eq(versions.id, suggestions.versionId), eq(versions.makerId, makerId)))
    .where(eq(suggestions.makerId, makerId))
    .orderBy(desc(suggestions.takenAt))
    .limit(most);
}
