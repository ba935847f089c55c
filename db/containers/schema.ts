import { containerTypes, type ContainerType } from "@tensidrum/core/process";
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
    type: text("type").notNull().default("bottle").$type<ContainerType>(),
    /** As it is sold. */
    nominalMl: numeric("nominal_ml", { mode: "number" }).notNull(),
    /** Filled to the brim. */
    brimfulMl: numeric("brimful_ml", { mode: "number" }).notNull(),
    headspaceMl: numeric("headspace_ml", { mode: "number" }).notNull(),
    /** What tube and pump displace. */
    dipTubeMl: numeric("dip_tube_ml", { mode: "number" }).notNull(),
    /** Of an empty one with its closure; null where nobody weighed it. */
    tareGrams: numeric("tare_grams", { mode: "number" }),
    /** Where its label goes; null where there is none. */
    labelWidthMm: numeric("label_width_mm", { mode: "number" }),
    labelHeightMm: numeric("label_height_mm", { mode: "number" }),
    /** Empty ones on the shelf; null where nobody counts them. */
    pieces: integer("pieces"),
    /** What suits it, in the maker's words. */
    note: text("note").notNull().default(""),
    /** Of one piece with its closure; null where unknown. */
    priceEach: numeric("price_each", { mode: "number" }),
    position: integer("position").notNull(),
  },
  (table) => [
    unique("containers_id_maker").on(table.id, table.makerId),
    unique("containers_maker_name").on(table.makerId, table.name),
    check("containers_name_length", sql`char_length(${table.name}) between 1 and 60`),
    check("containers_type", sql`${table.type} in (${sql.raw(containerTypes.map((type) => `'${type}'`).join(", "))})`),
    check("containers_tare", sql`${table.tareGrams} > 0 and ${table.tareGrams} <= 100000`),
    check(
      "containers_label",
      sql`${table.labelWidthMm} between 5 and 1000 and ${table.labelHeightMm} between 5 and 1000 and (${table.labelWidthMm} is null) = (${table.labelHeightMm} is null)`,
    ),
    check("containers_pieces", sql`${table.pieces} between 0 and 100000`),
    check("containers_note_length", sql`char_length(${table.note}) <= 200`),
    check("containers_nominal", sql`${table.nominalMl} > 0 and ${table.nominalMl} <= ${table.brimfulMl}`),
    check("containers_brimful", sql`${table.brimfulMl} <= 100000`),
    check(
      "containers_displaced",
      sql`${table.headspaceMl} >= 0 and ${table.dipTubeMl} >= 0 and ${table.headspaceMl} + ${table.dipTubeMl} < ${table.brimfulMl}`,
    ),
    check("containers_price", sql`${table.priceEach} >= 0 and ${table.priceEach} <= ${sql.raw(String(MOST_PRICE))}`),
  ],
);
