import { clarityLooks } from "@tensidrum/core/process";
import { blindKinds, bubbleSizes, spoilSigns, storages } from "@tensidrum/core/stability";
import { sql } from "drizzle-orm";
import { check, date, foreignKey, index, integer, numeric, pgTable, primaryKey, text, timestamp, unique, uuid } from "drizzle-orm/pg-core";
import { batches } from "../batches/schema";

const words = (all: readonly string[]) => sql.raw(all.map((word) => `'${word}'`).join(", "));

/** When a sample of a batch is to be looked at. */
export const plannedChecks = pgTable(
  "planned_checks",
  {
    id: uuid("id").primaryKey(),
    makerId: uuid("maker_id").notNull(),
    batchId: uuid("batch_id").notNull(),
    /** How the sample stands. */
    storage: text("storage", { enum: storages }).notNull(),
    title: text("title").notNull(),
    dueOn: date("due_on").notNull(),
    /** Why it is not looked at; empty where it is. */
    skippedBecause: text("skipped_because").notNull().default(""),
  },
  (table) => [
    foreignKey({
      name: "planned_checks_batch",
      columns: [table.batchId, table.makerId],
      foreignColumns: [batches.id, batches.makerId],
    }).onDelete("cascade"),
    unique("planned_checks_id_maker").on(table.id, table.makerId),
    unique("planned_checks_of").on(table.batchId, table.storage, table.title),
    index("planned_checks_due").on(table.makerId, table.dueOn),
    check("planned_checks_storage", sql`${table.storage} in (${words(storages)})`),
    check("planned_checks_lengths", sql`char_length(${table.title}) between 1 and 80 and char_length(${table.skippedBecause}) <= 200`),
  ],
);

/** What was seen of a sample, as it was seen; a mistake is followed by another look. */
export const checks = pgTable(
  "checks",
  {
    id: uuid("id").primaryKey(),
    makerId: uuid("maker_id").notNull(),
    batchId: uuid("batch_id").notNull(),
    storage: text("storage", { enum: storages }).notNull(),
    /** The planned one this is; null for one in between. */
    plannedId: uuid("planned_id"),
    lookedAt: timestamp("looked_at", { withTimezone: true }).notNull(),
    ph: numeric("ph", { mode: "number" }),
    /** Pa·s. */
    viscosity: numeric("viscosity", { mode: "number" }),
    /** How it was measured, in words. */
    said: text("said").notNull().default(""),
    clarity: text("clarity").notNull().default(""),
    colour: text("colour").notNull().default(""),
    smell: text("smell").notNull().default(""),
    /** What has settled or floated up, mm. */
    sedimentMm: numeric("sediment_mm", { mode: "number" }),
    signs: text("signs")
      .array()
      .notNull()
      .default(sql`'{}'`),
    note: text("note").notNull().default(""),
    storedAt: timestamp("stored_at", { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    foreignKey({
      name: "checks_batch",
      columns: [table.batchId, table.makerId],
      foreignColumns: [batches.id, batches.makerId],
    }).onDelete("cascade"),
    foreignKey({
      name: "checks_planned",
      columns: [table.plannedId, table.makerId],
      foreignColumns: [plannedChecks.id, plannedChecks.makerId],
    }).onDelete("cascade"),
    unique("checks_one_of_a_plan").on(table.plannedId),
    index("checks_batch_looked").on(table.batchId, table.lookedAt),
    check("checks_storage", sql`${table.storage} in (${words(storages)})`),
    check("checks_ph", sql`${table.ph} between 0 and 14`),
    check("checks_viscosity", sql`${table.viscosity} > 0 and ${table.viscosity} <= 100000`),
    check("checks_clarity", sql`${table.clarity} in ('', ${words(clarityLooks)})`),
    check("checks_sediment", sql`${table.sedimentMm} >= 0 and ${table.sedimentMm} <= 1000`),
    check("checks_signs", sql`${table.signs} <@ array[${words(spoilSigns)}]`),
    check(
      "checks_lengths",
      sql`char_length(${table.said}) <= 120 and char_length(${table.colour}) <= 60 and char_length(${table.smell}) <= 60 and char_length(${table.note}) <= 500`,
    ),
  ],
);

/** A shake test of a batch: 1 % in water, ten shakes, the height of the foam; and how it felt on the hand. */
export const latherTests = pgTable(
  "lather_tests",
  {
    id: uuid("id").primaryKey(),
    makerId: uuid("maker_id").notNull(),
    batchId: uuid("batch_id").notNull(),
    testedAt: timestamp("tested_at", { withTimezone: true }).notNull(),
    atOnceMm: numeric("at_once_mm", { mode: "number" }).notNull(),
    afterOneMinuteMm: numeric("after_one_minute_mm", { mode: "number" }).notNull(),
    afterFiveMinutesMm: numeric("after_five_minutes_mm", { mode: "number" }).notNull(),
    bubbles: text("bubbles", { enum: bubbleSizes }).notNull(),
    /** On the hand, 1 to 5; null where nobody washed with it. */
    slip: integer("slip"),
    rinse: integer("rinse"),
    afterFeel: integer("after_feel"),
    note: text("note").notNull().default(""),
  },
  (table) => [
    foreignKey({
      name: "lather_tests_batch",
      columns: [table.batchId, table.makerId],
      foreignColumns: [batches.id, batches.makerId],
    }).onDelete("cascade"),
    index("lather_tests_batch_tested").on(table.batchId, table.testedAt),
    check(
      "lather_tests_falls",
      sql`${table.afterFiveMinutesMm} >= 0 and ${table.afterOneMinuteMm} >= ${table.afterFiveMinutesMm} and ${table.atOnceMm} >= ${table.afterOneMinuteMm} and ${table.atOnceMm} <= 1000`,
    ),
    check("lather_tests_bubbles", sql`${table.bubbles} in (${words(bubbleSizes)})`),
    check(
      "lather_tests_feel",
      sql`${table.slip} between 1 and 5 and ${table.rinse} between 1 and 5 and ${table.afterFeel} between 1 and 5`,
    ),
    check("lather_tests_note_length", sql`char_length(${table.note}) <= 300`),
  ],
);

/** Two batches that testers tell apart, or choose between, without knowing which is which. */
export const blindTests = pgTable(
  "blind_tests",
  {
    id: uuid("id").primaryKey(),
    makerId: uuid("maker_id").notNull(),
    kind: text("kind", { enum: blindKinds }).notNull(),
    firstBatchId: uuid("first_batch_id").notNull(),
    secondBatchId: uuid("second_batch_id").notNull(),
    /** As "Which lathers more?". */
    question: text("question").notNull(),
    begunAt: timestamp("begun_at", { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    foreignKey({
      name: "blind_tests_first",
      columns: [table.firstBatchId, table.makerId],
      foreignColumns: [batches.id, batches.makerId],
    }).onDelete("cascade"),
    foreignKey({
      name: "blind_tests_second",
      columns: [table.secondBatchId, table.makerId],
      foreignColumns: [batches.id, batches.makerId],
    }).onDelete("cascade"),
    unique("blind_tests_id_maker").on(table.id, table.makerId),
    check("blind_tests_two", sql`${table.firstBatchId} <> ${table.secondBatchId}`),
    check("blind_tests_kind", sql`${table.kind} in (${words(blindKinds)})`),
    check("blind_tests_question_length", sql`char_length(${table.question}) between 1 and 120`),
  ],
);

/** What one tester gets, and says. */
export const blindSheets = pgTable(
  "blind_sheets",
  {
    testId: uuid("test_id").notNull(),
    makerId: uuid("maker_id").notNull(),
    /** A number; no names are kept. */
    tester: integer("tester").notNull(),
    /** Three digits on each cup, in the order of tasting. */
    codes: text("codes").array().notNull(),
    /** A or B in each cup. */
    cups: text("cups").array().notNull(),
    /** The code that was chosen; null while nobody answered. */
    chosen: text("chosen"),
    note: text("note").notNull().default(""),
  },
  (table) => [
    primaryKey({ name: "blind_sheets_pkey", columns: [table.testId, table.tester] }),
    foreignKey({
      name: "blind_sheets_test",
      columns: [table.testId, table.makerId],
      foreignColumns: [blindTests.id, blindTests.makerId],
    }).onDelete("cascade"),
    check("blind_sheets_tester", sql`${table.tester} between 1 and 60`),
    check("blind_sheets_cups", sql`cardinality(${table.codes}) = cardinality(${table.cups}) and ${table.cups} <@ array['A', 'B']`),
    check("blind_sheets_chosen", sql`${table.chosen} = any (${table.codes})`),
    check("blind_sheets_note_length", sql`char_length(${table.note}) <= 200`),
  ],
);
