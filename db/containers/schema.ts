import { MOST_PRICE } from "@tensidrum/core/quantities";
import { sql } from "drizzle-orm";
import { check, integer, numeric, pgTable, text, unique, uuid } from "drizzle-orm/pg-core";
import { makers } from "../makers/schema";

/** A kind of bottle, jar or pump the maker fills. */
export const containers = pgTable(
  "containers",
  {
    id: uuid("id").primaryKey(),
    makerId: uuid("maker_id")
      .notNull()
      .references(() => makers.id, { onDelete: "cascade" }),
    name: text("name").notNull(),
    /** As it is sold. */
    nominalMl: numeric("nominal_ml", { mode: "number" }).notNull(),
    /** Filled to the brim. */
    brimfulMl: numeric("brimful_ml", { mode: "number" }).notNull(),
    headspaceMl: numeric("headspace_ml", { mode: "number" }).notNull(),
    /** What tube and pump displace. */
    dipTubeMl: numeric("dip_tube_ml", { mode: "number" }).notNull(),
    /** Of one piece with its closure; null where unknown. */
    priceEach: numeric("price_each", { mode: "number" }),
    position: integer("position").notNull(),
  },
  (table) => [
    unique("containers_maker_name").on(table.makerId, table.name),
    check("containers_name_length", sql`char_length(${table.name}) between 1 and 60`),
    check("containers_nominal", sql`${table.nominalMl} > 0 and ${table.nominalMl} <= ${table.brimfulMl}`),
    check("containers_brimful", sql`${table.brimfulMl} <= 100000`),
    check(
      "containers_displaced",
      sql`${table.headspaceMl} >= 0 and ${table.dipTubeMl} >= 0 and ${table.headspaceMl} + ${table.dipTubeMl} < ${table.brimfulMl}`,
    ),
    check("containers_price", sql`${table.priceEach} >= 0 and ${table.priceEach} <= ${sql.raw(String(MOST_PRICE))}`),
  ],
);
