import { MOST_GRAMS, MOST_PRICE } from "@tensidrum/core/quantities";
import { sql } from "drizzle-orm";
import {
  bigserial,
  boolean,
  check,
  date,
  foreignKey,
  index,
  integer,
  numeric,
  pgTable,
  primaryKey,
  text,
  timestamp,
  unique,
  uuid,
} from "drizzle-orm/pg-core";
import { makers } from "../makers/schema";
import { materials } from "../materials/schema";

export const movementKinds = ["receive", "reserve", "release", "use", "correct", "discard"] as const;

export type MovementKind = (typeof movementKinds)[number];

/** One bought bottle, jar or bag of a material. What is left of it is the sum of its movements. */
export const lots = pgTable(
  "lots",
  {
    id: uuid("id").primaryKey(),
    makerId: uuid("maker_id")
      .notNull()
      .references(() => makers.id, { onDelete: "cascade" }),
    materialId: uuid("material_id")
      .notNull()
      .references(() => materials.id),
    /** As written on it, or as the maker names it. */
    code: text("code").notNull(),
    supplier: text("supplier").notNull().default(""),
    /** Active content by its certificate, %; null where there is none. */
    assayPercent: numeric("assay_percent", { mode: "number" }),
    packGrams: numeric("pack_grams", { mode: "number", precision: 12, scale: 3 }).notNull(),
    /** For the whole pack, in the maker's currency; null where unknown. */
    price: numeric("price", { mode: "number" }),
    openedOn: date("opened_on"),
    /** As printed on it, or as it was made. */
    endsOn: date("ends_on"),
    /** So long it keeps once it is open, days; null where nobody says. */
    afterOpeningDays: integer("after_opening_days"),
    note: text("note").notNull().default(""),
    /** Why nothing is to be taken of it just now; empty where it is not on hold. */
    onHold: text("on_hold").notNull().default(""),
    createdAt: timestamp("created_at", { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    unique("lots_id_maker").on(table.id, table.makerId),
    unique("lots_maker_material_code").on(table.makerId, table.materialId, table.code),
    index("lots_maker_material").on(table.makerId, table.materialId, table.createdAt, table.id),
    check("lots_code_length", sql`char_length(${table.code}) between 1 and 60`),
    check("lots_words", sql`char_length(${table.supplier}) <= 120 and char_length(${table.note}) <= 500`),
    check("lots_on_hold_length", sql`char_length(${table.onHold}) <= 200`),
    check("lots_after_opening", sql`${table.afterOpeningDays} between 1 and 3650`),
    check("lots_assay", sql`${table.assayPercent} > 0 and ${table.assayPercent} <= 100`),
    check("lots_pack", sql`${table.packGrams} > 0 and ${table.packGrams} <= ${sql.raw(String(MOST_GRAMS))}`),
    check("lots_price", sql`${table.price} >= 0 and ${table.price} <= ${sql.raw(String(MOST_PRICE))}`),
  ],
);

/** From which lots one that was made here was made. */
export const lotSources = pgTable(
  "lot_sources",
  {
    lotId: uuid("lot_id").notNull(),
    fromLotId: uuid("from_lot_id").notNull(),
    makerId: uuid("maker_id").notNull(),
  },
  (table) => [
    primaryKey({ name: "lot_sources_pkey", columns: [table.lotId, table.fromLotId] }),
    foreignKey({ name: "lot_sources_lot", columns: [table.lotId, table.makerId], foreignColumns: [lots.id, lots.makerId] }).onDelete(
      "cascade",
    ),
    foreignKey({ name: "lot_sources_from", columns: [table.fromLotId, table.makerId], foreignColumns: [lots.id, lots.makerId] }).onDelete(
      "cascade",
    ),
    index("lot_sources_from_lot").on(table.fromLotId),
    check("lot_sources_not_itself", sql`${table.lotId} <> ${table.fromLotId}`),
  ],
);

/** What came to a lot and went from it, signed, in grams. A row is never changed; a mistake is corrected by another row. */
export const movements = pgTable(
  "movements",
  {
    /** Made by the page, so that a movement sent twice is stored once. */
    id: uuid("id").primaryKey(),
    makerId: uuid("maker_id").notNull(),
    lotId: uuid("lot_id").notNull(),
    /** The batch it was promised to or used for; null for what was done by hand. */
    batchId: uuid("batch_id"),
    kind: text("kind", { enum: movementKinds }).notNull(),
    grams: numeric("grams", { mode: "number", precision: 12, scale: 3 }).notNull(),
    /** A batch code, or why. */
    note: text("note").notNull().default(""),
    madeAt: timestamp("made_at", { withTimezone: true }).notNull().defaultNow(),
    /** The order in which they were entered. */
    position: bigserial("position", { mode: "number" }).notNull(),
  },
  (table) => [
    foreignKey({ name: "movements_lot", columns: [table.lotId, table.makerId], foreignColumns: [lots.id, lots.makerId] }).onDelete(
      "cascade",
    ),
    index("movements_batch").on(table.batchId),
    index("movements_lot_position").on(table.lotId, table.position),
    index("movements_maker_lot_grams").on(table.makerId, table.lotId, table.kind, table.grams),
    check("movements_kind", sql`${table.kind} in ('receive', 'reserve', 'release', 'use', 'correct', 'discard')`),
    check(
      "movements_sign",
      sql`case when ${table.kind} in ('receive', 'release') then ${table.grams} > 0
        when ${table.kind} = 'correct' then ${table.grams} <> 0
        else ${table.grams} < 0 end`,
    ),
    check("movements_size", sql`abs(${table.grams}) <= ${sql.raw(String(MOST_GRAMS))}`),
    check("movements_note_length", sql`char_length(${table.note}) <= 200`),
  ],
);

/** What the movements of each lot come to, kept by the database itself whenever one is entered, so that years of them are not summed again. */
export const lotBalances = pgTable(
  "lot_balances",
  {
    lotId: uuid("lot_id").primaryKey(),
    makerId: uuid("maker_id").notNull(),
    /** Nothing of it is reserved for a batch. */
    freeGrams: numeric("free_grams", { mode: "number", precision: 15, scale: 3 }).notNull(),
    /** In the bottle, reserved or not. */
    leftGrams: numeric("left_grams", { mode: "number", precision: 15, scale: 3 }).notNull(),
    /** Nothing was ever taken from it, reserved or corrected. */
    isUntouched: boolean("is_untouched").notNull(),
  },
  (table) => [
    foreignKey({ name: "lot_balances_lot", columns: [table.lotId, table.makerId], foreignColumns: [lots.id, lots.makerId] }).onDelete(
      "cascade",
    ),
    index("lot_balances_maker").on(table.makerId),
    // Of years of lots the few that stand on the shelf.
    index("lot_balances_standing")
      .on(table.makerId)
      .where(sql`left_grams <> 0 or free_grams <> 0`),
  ],
);
