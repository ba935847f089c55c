import { MOST_PRICE } from "@tensidrum/core/quantities";
import { sql } from "drizzle-orm";
import { check, foreignKey, numeric, pgTable, primaryKey, timestamp, uuid } from "drizzle-orm/pg-core";
import { formulas } from "../formulas/schema";
import { makers } from "../makers/schema";

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
