import { MOST_GRAMS } from "@tensidrum/core/quantities";
import type { Formula } from "@tensidrum/core/formula";
import { entryKinds, fillUses, type BatchEntry, type FillUse, type Step, type Vessel } from "@tensidrum/core/process";
import { sql } from "drizzle-orm";
import {
  bigserial,
  check,
  customType,
  date,
  foreignKey,
  index,
  integer,
  jsonb,
  numeric,
  pgTable,
  primaryKey,
  text,
  timestamp,
  unique,
  uuid,
} from "drizzle-orm/pg-core";
import { containers } from "../containers/schema";
import { versions } from "../formulas/schema";
import { makers } from "../makers/schema";
import { lots } from "../inventory/schema";

/** A final version being made, or made. What it was planned from stays in it; what happened are its entries. */
export const batches = pgTable(
  "batches",
  {
    id: uuid("id").primaryKey(),
    makerId: uuid("maker_id")
      .notNull()
      .references(() => makers.id, { onDelete: "cascade" }),
    /** Null once its formula was thrown away: the batch holds all it needs itself. */
    versionId: uuid("version_id").references(() => versions.id, { onDelete: "set null" }),
    /** By the maker's pattern, as CC-261126-1. */
    code: text("code").notNull(),
    /** The complete tensidrum-formula/1 file of the size that is made. */
    formula: jsonb("formula").$type<Formula>().notNull(),
    // Taken from the formula by the database, so that lists read columns.
    name: text("name")
      .notNull()
      .generatedAlwaysAs(sql`formula ->> 'name'`),
    batchGrams: numeric("batch_grams", { mode: "number" })
      .notNull()
      .generatedAlwaysAs(sql`(formula ->> 'batchGrams')::numeric`),
    steps: jsonb("steps").$type<readonly Step[]>().notNull(),
    vessels: jsonb("vessels").$type<readonly Vessel[]>().notNull(),
    coreVersion: text("core_version").notNull(),
    startedAt: timestamp("started_at", { withTimezone: true }).notNull().defaultNow(),
    /** Set by its last entry. */
    finishedAt: timestamp("finished_at", { withTimezone: true }),
  },
  (table) => [
    unique("batches_id_maker").on(table.id, table.makerId),
    unique("batches_maker_code").on(table.makerId, table.code),
    index("batches_version_finished").on(table.versionId, table.finishedAt),
    index("batches_newest").on(table.makerId, table.startedAt, table.id),
    index("batches_open")
      .on(table.makerId, table.startedAt)
      .where(sql`finished_at is null`),
    index("batches_finished")
      .on(table.makerId, table.finishedAt, table.id)
      .where(sql`finished_at is not null`),
    check("batches_code_length", sql`char_length(${table.code}) between 1 and 60`),
  ],
);

/** What was promised to a line of a batch when it was begun. */
export const batchLots = pgTable(
  "batch_lots",
  {
    batchId: uuid("batch_id").notNull(),
    makerId: uuid("maker_id").notNull(),
    lineId: text("line_id").notNull(),
    lotId: uuid("lot_id").notNull(),
    position: integer("position").notNull(),
    grams: numeric("grams", { mode: "number", precision: 12, scale: 3 }).notNull(),
  },
  (table) => [
    primaryKey({ name: "batch_lots_pkey", columns: [table.batchId, table.lineId, table.lotId] }),
    foreignKey({
      name: "batch_lots_batch",
      columns: [table.batchId, table.makerId],
      foreignColumns: [batches.id, batches.makerId],
    }).onDelete("cascade"),
    foreignKey({ name: "batch_lots_lot", columns: [table.lotId, table.makerId], foreignColumns: [lots.id, lots.makerId] }),
    check("batch_lots_grams", sql`${table.grams} > 0 and ${table.grams} <= ${sql.raw(String(MOST_GRAMS))}`),
  ],
);

/** What a batch was filled into, by the rows of its filling plan; it follows its entries. */
export const batchContainers = pgTable(
  "batch_containers",
  {
    batchId: uuid("batch_id").notNull(),
    makerId: uuid("maker_id").notNull(),
    rowId: text("row_id").notNull(),
    /** Null for one that is not on the shelf, or not any more. */
    containerId: uuid("container_id").references(() => containers.id, { onDelete: "set null" }),
    name: text("name").notNull(),
    use: text("use").notNull().$type<FillUse>(),
    count: integer("count").notNull(),
    /** Net, all together. */
    grams: numeric("grams", { mode: "number", precision: 12, scale: 3 }).notNull(),
  },
  (table) => [
    primaryKey({ name: "batch_containers_pkey", columns: [table.batchId, table.rowId] }),
    foreignKey({
      name: "batch_containers_batch",
      columns: [table.batchId, table.makerId],
      foreignColumns: [batches.id, batches.makerId],
    }).onDelete("cascade"),
    index("batch_containers_container").on(table.containerId),
    check("batch_containers_use", sql`${table.use} in (${sql.raw(fillUses.map((use) => `'${use}'`).join(", "))})`),
    check("batch_containers_count", sql`${table.count} > 0`),
    check("batch_containers_grams", sql`${table.grams} > 0`),
    check("batch_containers_name_length", sql`char_length(${table.name}) between 1 and 200`),
  ],
);

/** To whom the containers of a row of a filling plan went, in the maker's words, and since when they are open; it stays when the filling is entered anew. */
export const givenContainers = pgTable(
  "given_containers",
  {
    batchId: uuid("batch_id").notNull(),
    makerId: uuid("maker_id").notNull(),
    rowId: text("row_id").notNull(),
    /** Empty where nobody noted it. */
    toWhom: text("to_whom").notNull(),
    openedOn: date("opened_on"),
  },
  (table) => [
    primaryKey({ name: "given_containers_pkey", columns: [table.batchId, table.rowId] }),
    foreignKey({
      name: "given_containers_batch",
      columns: [table.batchId, table.makerId],
      foreignColumns: [batches.id, batches.makerId],
    }).onDelete("cascade"),
    check("given_containers_says_something", sql`${table.toWhom} <> '' or ${table.openedOn} is not null`),
    check("given_containers_length", sql`char_length(${table.toWhom}) <= 300 and char_length(${table.rowId}) <= 200`),
  ],
);

/** What was entered at the bench, in the order it came. A row is never changed; a mistake is taken back by another. */
export const batchEntries = pgTable(
  "batch_entries",
  {
    /** Made where it was entered, so that one sent twice is stored once. */
    id: uuid("id").primaryKey(),
    batchId: uuid("batch_id").notNull(),
    makerId: uuid("maker_id").notNull(),
    position: bigserial("position", { mode: "number" }).notNull(),
    kind: text("kind").notNull(),
    entry: jsonb("entry").$type<BatchEntry>().notNull(),
    storedAt: timestamp("stored_at", { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    foreignKey({
      name: "batch_entries_batch",
      columns: [table.batchId, table.makerId],
      foreignColumns: [batches.id, batches.makerId],
    }).onDelete("cascade"),
    index("batch_entries_batch_position").on(table.batchId, table.position),
    index("batch_entries_calibrated")
      .on(table.makerId, table.position)
      .where(sql`kind = 'calibrated'`),
    check("batch_entries_kind", sql`${table.kind} in (${sql.raw(entryKinds.map((kind) => `'${kind}'`).join(", "))})`),
    check("batch_entries_agree", sql`${table.entry} ->> 'kind' = ${table.kind} and ${table.entry} ->> 'id' = ${table.id}::text`),
  ],
);

export const bytes = customType<{ data: Buffer }>({ dataType: () => "bytea" });

/** Pictures of a batch, drawn anew from what was sent, so that nothing but the picture is kept. */
export const batchPhotos = pgTable(
  "batch_photos",
  {
    id: uuid("id").primaryKey(),
    batchId: uuid("batch_id").notNull(),
    makerId: uuid("maker_id").notNull(),
    /** A JPEG. */
    picture: bytes("picture").notNull(),
    width: integer("width").notNull(),
    height: integer("height").notNull(),
    storedAt: timestamp("stored_at", { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    foreignKey({
      name: "batch_photos_batch",
      columns: [table.batchId, table.makerId],
      foreignColumns: [batches.id, batches.makerId],
    }).onDelete("cascade"),
    index("batch_photos_batch").on(table.batchId),
    check("batch_photos_size", sql`octet_length(${table.picture}) between 1 and 5242880`),
    check("batch_photos_sides", sql`${table.width} between 1 and 10000 and ${table.height} between 1 and 10000`),
  ],
);
