import { MOST_GRAMS, MOST_PRICE } from "@tensidrum/core/quantities";
import { sql } from "drizzle-orm";
import { check, foreignKey, integer, numeric, pgTable, primaryKey, text, timestamp, unique, uuid } from "drizzle-orm/pg-core";
import { formulas } from "../formulas/schema";
import { makers } from "../makers/schema";
import { materials } from "../materials/schema";

/** What a maker settles to make a price of a formula's cost. */
export const priceWishes = pgTable(
  "price_wishes",
  {
    makerId: uuid("maker_id")
      .notNull()
      .references(() => makers.id, { onDelete: "cascade" }),
    formulaId: uuid("formula_id").notNull(),
    /** Of one label, in the maker's currency. */
    labelEach: numeric("label_each", { mode: "number" }).notNull(),
    /** Share of the price before tax that is to stay, %. */
    marginPercent: numeric("margin_percent", { mode: "number" }).notNull(),
    taxPercent: numeric("tax_percent", { mode: "number" }).notNull(),
    /** What a shop asks for 100 g of the like; null where it is not compared. */
    shopPer100Grams: numeric("shop_per_100_grams", { mode: "number" }),
    updatedAt: timestamp("updated_at", { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ name: "price_wishes_pkey", columns: [table.makerId, table.formulaId] }),
    foreignKey({
      name: "price_wishes_formula",
      columns: [table.formulaId, table.makerId],
      foreignColumns: [formulas.id, formulas.makerId],
    }).onDelete("cascade"),
    check("price_wishes_label", sql`${table.labelEach} >= 0 and ${table.labelEach} <= ${sql.raw(String(MOST_PRICE))}`),
    check("price_wishes_margin", sql`${table.marginPercent} >= 0 and ${table.marginPercent} < 100`),
    check("price_wishes_tax", sql`${table.taxPercent} >= 0 and ${table.taxPercent} <= 100`),
    check("price_wishes_shop", sql`${table.shopPer100Grams} > 0 and ${table.shopPer100Grams} <= ${sql.raw(String(MOST_PRICE))}`),
  ],
);

/** What a supplier asks for a pack of a material, as the maker typed it. */
export const offers = pgTable(
  "offers",
  {
    id: uuid("id").primaryKey(),
    makerId: uuid("maker_id")
      .notNull()
      .references(() => makers.id, { onDelete: "cascade" }),
    materialId: uuid("material_id")
      .notNull()
      .references(() => materials.id, { onDelete: "cascade" }),
    supplier: text("supplier").notNull(),
    packGrams: numeric("pack_grams", { mode: "number", precision: 12, scale: 3 }).notNull(),
    /** Of one pack, in the maker's currency. */
    price: numeric("price", { mode: "number" }).notNull(),
    /** Fewer packs are not sold. */
    leastPacks: integer("least_packs").notNull().default(1),
    seenAt: timestamp("seen_at", { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    unique("offers_of").on(table.makerId, table.materialId, table.supplier, table.packGrams),
    check("offers_supplier_length", sql`char_length(${table.supplier}) between 1 and 120`),
    check("offers_pack", sql`${table.packGrams} > 0 and ${table.packGrams} <= ${sql.raw(String(MOST_GRAMS))}`),
    check("offers_price", sql`${table.price} >= 0 and ${table.price} <= ${sql.raw(String(MOST_PRICE))}`),
    check("offers_least_packs", sql`${table.leastPacks} between 1 and 1000`),
  ],
);
