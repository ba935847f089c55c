import { clarityLooks } from "@tensidrum/core/process";
import { alarmKinds, blindKinds, bubbleSizes, latherWays, patchSeen, spoilSigns, storages } from "@tensidrum/core/stability";
import { sql } from "drizzle-orm";
import {
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
import { batches, bytes } from "../batches/schema";

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
    /** A check was kept for it; the database sets this itself. */
    isDone: boolean("is_done").notNull().default(false),
  },
  (table) => [
    foreignKey({
      name: "planned_checks_batch",
      columns: [table.batchId, table.makerId],
      foreignColumns: [batches.id, batches.makerId],
    }).onDelete("cascade"),
    unique("planned_checks_id_maker").on(table.id, table.makerId),
    unique("planned_checks_of").on(table.batchId, table.storage, table.title),
    index("planned_checks_due")
      .on(table.makerId, table.dueOn)
      .where(sql`not is_done and skipped_because = ''`),
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
    /** Off a photo with a white card (CIE 1976): all three or none. */
    labL: numeric("lab_l", { mode: "number" }),
    labA: numeric("lab_a", { mode: "number" }),
    labB: numeric("lab_b", { mode: "number" }),
    /** What it takes from the contrast of a printed grid, %. */
    hazePercent: numeric("haze_percent", { mode: "number" }),
    /** Of the bench room, °C: what pH and thickness of the sample were read at. */
    roomC: numeric("room_c", { mode: "number" }),
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
    unique("checks_id_maker").on(table.id, table.makerId),
    index("checks_batch_looked").on(table.batchId, table.lookedAt),
    index("checks_maker_looked").on(table.makerId, table.lookedAt),
    check("checks_storage", sql`${table.storage} in (${words(storages)})`),
    check("checks_ph", sql`${table.ph} between 0 and 14`),
    check("checks_viscosity", sql`${table.viscosity} > 0 and ${table.viscosity} <= 100000`),
    check("checks_clarity", sql`${table.clarity} in ('', ${words(clarityLooks)})`),
    check("checks_sediment", sql`${table.sedimentMm} >= 0 and ${table.sedimentMm} <= 1000`),
    check("checks_lab_whole", sql`num_nonnulls(${table.labL}, ${table.labA}, ${table.labB}) in (0, 3)`),
    check("checks_lab", sql`${table.labL} between 0 and 110 and ${table.labA} between -150 and 150 and ${table.labB} between -150 and 150`),
    check("checks_haze", sql`${table.hazePercent} between 0 and 100`),
    check("checks_room", sql`${table.roomC} between -10 and 60`),
    check("checks_signs", sql`${table.signs} <@ array[${words(spoilSigns)}]`),
    check(
      "checks_lengths",
      sql`char_length(${table.said}) <= 120 and char_length(${table.colour}) <= 60 and char_length(${table.smell}) <= 60 and char_length(${table.note}) <= 500`,
    ),
  ],
);

/** What a maker said to an alarm of a batch; it holds until a sample is looked at again. */
export const answeredAlarms = pgTable(
  "answered_alarms",
  {
    batchId: uuid("batch_id").notNull(),
    makerId: uuid("maker_id").notNull(),
    what: text("what", { enum: alarmKinds }).notNull(),
    /** What was done, or why it does not count. */
    because: text("because").notNull(),
    answeredAt: timestamp("answered_at", { withTimezone: true }).notNull(),
    /** The newest look then. */
    lookedAt: timestamp("looked_at", { withTimezone: true }).notNull(),
  },
  (table) => [
    primaryKey({ name: "answered_alarms_pkey", columns: [table.batchId, table.what] }),
    foreignKey({
      name: "answered_alarms_batch",
      columns: [table.batchId, table.makerId],
      foreignColumns: [batches.id, batches.makerId],
    }).onDelete("cascade"),
    check("answered_alarms_what", sql`${table.what} in (${words(alarmKinds)})`),
    check("answered_alarms_because", sql`char_length(${table.because}) between 1 and 200`),
  ],
);

/** A photo of a sample as it was looked at, drawn anew from what was sent. */
export const checkPhotos = pgTable(
  "check_photos",
  {
    checkId: uuid("check_id").primaryKey(),
    makerId: uuid("maker_id").notNull(),
    picture: bytes("picture").notNull(),
    width: integer("width").notNull(),
    height: integer("height").notNull(),
  },
  (table) => [
    foreignKey({
      name: "check_photos_check",
      columns: [table.checkId, table.makerId],
      foreignColumns: [checks.id, checks.makerId],
    }).onDelete("cascade"),
    check("check_photos_size", sql`octet_length(${table.picture}) between 1 and 5242880`),
    check("check_photos_sides", sql`${table.width} between 1 and 10000 and ${table.height} between 1 and 10000`),
  ],
);

/** A lather test of a batch: shaken in a cylinder (1 % in water, ten shakes), washed with, or the mass of a volume of foam. */
export const latherTests = pgTable(
  "lather_tests",
  {
    id: uuid("id").primaryKey(),
    makerId: uuid("maker_id").notNull(),
    batchId: uuid("batch_id").notNull(),
    testedAt: timestamp("tested_at", { withTimezone: true }).notNull(),
    way: text("way", { enum: latherWays }).notNull().default("shake"),
    /** Heights of the foam in a cylinder; null where nothing was shaken. */
    atOnceMm: numeric("at_once_mm", { mode: "number" }),
    afterOneMinuteMm: numeric("after_one_minute_mm", { mode: "number" }),
    afterFiveMinutesMm: numeric("after_five_minutes_mm", { mode: "number" }),
    bubbles: text("bubbles", { enum: bubbleSizes }).notNull(),
    /** Until it lathers on the hand, and until it is rinsed off; null where nobody timed it. */
    latherSeconds: numeric("lather_seconds", { mode: "number" }),
    rinseSeconds: numeric("rinse_seconds", { mode: "number" }),
    /** What a volume of foam weighs; both or none. */
    foamGrams: numeric("foam_grams", { mode: "number" }),
    foamMillilitres: numeric("foam_millilitres", { mode: "number" }),
    /** On the skin or hair, 1 to 5; null where nobody washed with it. */
    slip: integer("slip"),
    rinse: integer("rinse"),
    afterFeel: integer("after_feel"),
    scent: integer("scent"),
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
    check("lather_tests_way", sql`${table.way} in (${words(latherWays)})`),
    check(
      "lather_tests_heights",
      sql`num_nonnulls(${table.atOnceMm}, ${table.afterOneMinuteMm}, ${table.afterFiveMinutesMm}) = case when ${table.way} = 'shake' then 3 else 0 end`,
    ),
    check(
      "lather_tests_foam",
      sql`num_nonnulls(${table.foamGrams}, ${table.foamMillilitres}) = case when ${table.way} in ('pump', 'whipped') then 2 else 0 end and ${table.foamGrams} > 0 and ${table.foamMillilitres} > 0 and ${table.foamMillilitres} <= 10000 and ${table.foamGrams} <= 20000`,
    ),
    check(
      "lather_tests_seconds",
      sql`${table.latherSeconds} > 0 and ${table.latherSeconds} <= 3600 and ${table.rinseSeconds} > 0 and ${table.rinseSeconds} <= 3600`,
    ),
    check("lather_tests_bubbles", sql`${table.bubbles} in (${words(bubbleSizes)})`),
    check(
      "lather_tests_feel",
      sql`${table.slip} between 1 and 5 and ${table.rinse} between 1 and 5 and ${table.afterFeel} between 1 and 5 and ${table.scent} between 1 and 5`,
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
    /** A mark from 1 to 5 for each cup, where they are rated; null while nobody answered. */
    ratings: integer("ratings").array(),
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
    check(
      "blind_sheets_ratings",
      sql`cardinality(${table.ratings}) = cardinality(${table.cups}) and ${table.ratings} <@ array[1, 2, 3, 4, 5] and array_position(${table.ratings}, null::integer) is null`,
    ),
    check("blind_sheets_note_length", sql`char_length(${table.note}) <= 200`),
  ],
);

/** A patch of a batch on somebody's skin for a day, and what was seen then. */
export const patchTests = pgTable(
  "patch_tests",
  {
    id: uuid("id").primaryKey(),
    makerId: uuid("maker_id").notNull(),
    batchId: uuid("batch_id").notNull(),
    /** A number; no names are kept. */
    tester: integer("tester").notNull(),
    putOnAt: timestamp("put_on_at", { withTimezone: true }).notNull(),
    lookedAt: timestamp("looked_at", { withTimezone: true }),
    seen: text("seen", { enum: patchSeen }),
    note: text("note").notNull().default(""),
  },
  (table) => [
    foreignKey({
      name: "patch_tests_batch",
      columns: [table.batchId, table.makerId],
      foreignColumns: [batches.id, batches.makerId],
    }).onDelete("cascade"),
    index("patch_tests_batch").on(table.batchId, table.putOnAt),
    check("patch_tests_tester", sql`${table.tester} between 1 and 999`),
    check("patch_tests_seen", sql`${table.seen} in (${words(patchSeen)})`),
    check("patch_tests_judged", sql`(${table.seen} is null) = (${table.lookedAt} is null) and ${table.lookedAt} >= ${table.putOnAt}`),
    check("patch_tests_note_length", sql`char_length(${table.note}) <= 300`),
  ],
);
