import { sql } from "drizzle-orm";
import { check, foreignKey, index, integer, numeric, pgTable, primaryKey, text, timestamp, unique, uuid } from "drizzle-orm/pg-core";
import { makers } from "../makers/schema";
import { materials } from "../materials/schema";

export const countedIn = ["drops", "grams", "parts"] as const;

/** A scent that is being built, round by round. */
export const scents = pgTable(
  "scents",
  {
    id: uuid("id").primaryKey(),
    makerId: uuid("maker_id")
      .notNull()
      .references(() => makers.id, { onDelete: "cascade" }),
    name: text("name").notNull(),
    createdAt: timestamp("created_at", { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    unique("scents_id_maker").on(table.id, table.makerId),
    unique("scents_maker_name").on(table.makerId, table.name),
    check("scents_name_length", sql`char_length(${table.name}) between 1 and 120`),
  ],
);

/** One trial; it stays as it was smelled, the next one is a row of its own. */
export const scentRounds = pgTable(
  "scent_rounds",
  {
    id: uuid("id").primaryKey(),
    makerId: uuid("maker_id").notNull(),
    scentId: uuid("scent_id").notNull(),
    number: integer("number").notNull(),
    countedIn: text("counted_in", { enum: countedIn }).notNull(),
    note: text("note").notNull().default(""),
    /** The material it is kept as; null while it is a trial only. */
    materialId: uuid("material_id").references(() => materials.id, { onDelete: "set null" }),
    madeAt: timestamp("made_at", { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    unique("scent_rounds_id_maker").on(table.id, table.makerId),
    unique("scent_rounds_number").on(table.scentId, table.number),
    foreignKey({
      name: "scent_rounds_scent",
      columns: [table.scentId, table.makerId],
      foreignColumns: [scents.id, scents.makerId],
    }).onDelete("cascade"),
    check("scent_rounds_number_counts", sql`${table.number} > 0`),
    check("scent_rounds_counted_in", sql`${table.countedIn} in ('drops', 'grams', 'parts')`),
    check("scent_rounds_note_length", sql`char_length(${table.note}) <= 500`),
  ],
);

/** How much of an oil a round has, with what one drop of it weighed then. */
export const scentCounts = pgTable(
  "scent_counts",
  {
    roundId: uuid("round_id").notNull(),
    makerId: uuid("maker_id").notNull(),
    materialId: uuid("material_id")
      .notNull()
      .references(() => materials.id),
    position: integer("position").notNull(),
    count: numeric("count", { mode: "number" }).notNull(),
    /** Null where none were counted in drops. */
    dropMilligrams: numeric("drop_milligrams", { mode: "number" }),
  },
  (table) => [
    primaryKey({ name: "scent_counts_pkey", columns: [table.roundId, table.materialId] }),
    foreignKey({
      name: "scent_counts_round",
      columns: [table.roundId, table.makerId],
      foreignColumns: [scentRounds.id, scentRounds.makerId],
    }).onDelete("cascade"),
    index("scent_counts_material").on(table.materialId),
    check("scent_counts_count", sql`${table.count} > 0 and ${table.count} <= 100000`),
    check("scent_counts_drop", sql`${table.dropMilligrams} > 0 and ${table.dropMilligrams} <= 1000`),
  ],
);
