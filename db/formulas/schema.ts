import { MOST_GRAMS } from "@tensidrum/core/quantities";
import type { Assessment } from "@tensidrum/core/assessment";
import type { Formula, Look, OwnProcess, SchoolSlug, ThicknessWish } from "@tensidrum/core/formula";
import { sql } from "drizzle-orm";
import {
  boolean,
  check,
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
  uniqueIndex,
  uuid,
} from "drizzle-orm/pg-core";
import { makers } from "../makers/schema";
import { materials } from "../materials/schema";
import { lots } from "../inventory/schema";

const moment = (name: string) => timestamp(name, { withTimezone: true });

export const formulas = pgTable(
  "formulas",
  {
    id: uuid("id").primaryKey(),
    makerId: uuid("maker_id")
      .notNull()
      .references(() => makers.id, { onDelete: "cascade" }),
    name: text("name").notNull(),
    createdAt: moment("created_at").notNull().defaultNow(),
    updatedAt: moment("updated_at").notNull().defaultNow(),
  },
  (table) => [
    unique("formulas_id_maker").on(table.id, table.makerId),
    index("formulas_maker_updated").on(table.makerId, table.updatedAt, table.id),
    check("formulas_name_length", sql`char_length(${table.name}) <= 120`),
  ],
);

/** A draft changes as it is typed; a final version never changes again. */
export const versions = pgTable(
  "versions",
  {
    id: uuid("id").primaryKey(),
    makerId: uuid("maker_id").notNull(),
    formulaId: uuid("formula_id").notNull(),
    parentId: uuid("parent_id"),
    number: integer("number").notNull(),
    state: text("state", { enum: ["draft", "final"] }).notNull(),
    note: text("note").notNull().default(""),
    profile: text("profile").notNull(),
    batchGrams: numeric("batch_grams", { mode: "number" }).notNull(),
    school: text("school").notNull().default("none").$type<SchoolSlug>(),
    eyeArea: boolean("eye_area").notNull().default(false),
    look: text("look").notNull().default("any").$type<Look>(),
    /** Null: as the profile has it. */
    leftOn: boolean("left_on"),
    forWhom: text("for_whom").notNull().default(""),
    thickness: text("thickness").notNull().default("any").$type<ThicknessWish>(),
    /** What must not be in it. */
    without: text("without")
      .array()
      .notNull()
      .default(sql`'{}'`),
    closeTo: text("close_to").notNull().default(""),
    /** What is said of making it, a sentence a line. */
    method: text("method").notNull().default(""),
    /** Measured on the product, on a 10 % dilution; null where nobody did. */
    measuredPh: numeric("measured_ph", { mode: "number" }),
    measuredDensity: numeric("measured_density", { mode: "number" }),
    /** Counts the saves of a draft; a save names the one it began from. */
    revision: integer("revision").notNull().default(0),
    /** The last saves of a draft, the newest last, so that a page whose answer was lost knows its own. */
    recentSaves: text("recent_saves")
      .array()
      .notNull()
      .default(sql`'{}'`),
    assessment: jsonb("assessment").$type<Assessment>().notNull(),
    coreVersion: text("core_version").notNull(),
    /** The maker's own steps; null: as suggested. */
    process: jsonb("process").$type<OwnProcess>(),
    /** The complete tensidrum-formula/1 file of a final version. */
    snapshot: jsonb("snapshot").$type<Formula>(),
    // Taken from the assessment, so that lists read columns.
    activePercent: numeric("active_percent", { mode: "number" }).notNull(),
    stopCount: integer("stop_count").notNull(),
    fixCount: integer("fix_count").notNull(),
    considerCount: integer("consider_count").notNull(),
    lineCount: integer("line_count").notNull(),
    createdAt: moment("created_at").notNull().defaultNow(),
    updatedAt: moment("updated_at").notNull().defaultNow(),
    finalisedAt: moment("finalised_at"),
  },
  (table) => [
    foreignKey({
      name: "versions_formula",
      columns: [table.formulaId, table.makerId],
      foreignColumns: [formulas.id, formulas.makerId],
    }).onDelete("cascade"),
    foreignKey({
      name: "versions_parent",
      columns: [table.parentId, table.formulaId],
      foreignColumns: [table.id, table.formulaId],
    }),
    unique("versions_id_formula").on(table.id, table.formulaId),
    unique("versions_id_maker").on(table.id, table.makerId),
    unique("versions_formula_number").on(table.formulaId, table.number),
    index("versions_finalised")
      .on(table.makerId, table.finalisedAt)
      .where(sql`state = 'final'`),
    uniqueIndex("versions_one_draft")
      .on(table.formulaId)
      .where(sql`state = 'draft'`),
    check("versions_number", sql`${table.number} > 0`),
    check("versions_note_length", sql`char_length(${table.note}) <= 2000`),
    check("versions_method_length", sql`char_length(${table.method}) <= 20000`),
    check("versions_batch", sql`${table.batchGrams} > 0 and ${table.batchGrams} <= ${sql.raw(String(MOST_GRAMS))}`),
    check("versions_school", sql`${table.school} in ('plant-only', 'sulfate-free', 'classic', 'true-soap', 'none')`),
    check("versions_look", sql`${table.look} in ('any', 'clear', 'creamy')`),
    check("versions_thickness", sql`${table.thickness} in ('any', 'water-thin', 'syrup', 'pump-gel', 'thick-gel', 'spoon-standing')`),
    check("versions_aim_words", sql`char_length(${table.forWhom}) <= 120 and char_length(${table.closeTo}) <= 120`),
    check("versions_measured", sql`${table.measuredPh} between 0 and 14 and ${table.measuredDensity} between 0.1 and 3`),
    check("versions_without", sql`cardinality(${table.without}) <= 20`),
    check("versions_state", sql`${table.state} in ('draft', 'final')`),
    check(
      "versions_final_is_complete",
      sql`(${table.state} = 'final') = (${table.snapshot} is not null) and (${table.state} = 'final') = (${table.finalisedAt} is not null)`,
    ),
  ],
);

export const phases = pgTable(
  "phases",
  {
    versionId: uuid("version_id").notNull(),
    makerId: uuid("maker_id").notNull(),
    letter: text("letter").notNull(),
    title: text("title").notNull(),
    position: integer("position").notNull(),
    /** Null is room temperature. */
    temperatureC: numeric("temperature_c", { mode: "number" }),
    /** Of the batch, %, where it is a named part; null for a phase. */
    sharePercent: numeric("share_percent", { mode: "number" }),
    /** What others may add to the part, % of what they finish; null where it is finished. */
    addUpToPercent: numeric("add_up_to_percent", { mode: "number" }),
    /** What that may be, in the maker's words. */
    mayAdd: text("may_add").notNull().default(""),
  },
  (table) => [
    primaryKey({ name: "phases_pkey", columns: [table.versionId, table.letter] }),
    foreignKey({
      name: "phases_version",
      columns: [table.versionId, table.makerId],
      foreignColumns: [versions.id, versions.makerId],
    }).onDelete("cascade"),
    check("phases_letter", sql`${table.letter} ~ '^[A-Z]$'`),
    check("phases_temperature", sql`${table.temperatureC} >= -20 and ${table.temperatureC} <= 150`),
    check("phases_title_length", sql`char_length(${table.title}) <= 40`),
    check("phases_share", sql`${table.sharePercent} > 0 and ${table.sharePercent} <= 100`),
    check(
      "phases_open_part",
      sql`${table.addUpToPercent} is null or (${table.sharePercent} is not null and ${table.addUpToPercent} > 0 and ${table.addUpToPercent} < 100)`,
    ),
    check("phases_may_add_length", sql`char_length(${table.mayAdd}) <= 300`),
  ],
);

/** A line keeps its id from version to version, so that versions can be compared line by line. */
export const lines = pgTable(
  "lines",
  {
    id: uuid("id").notNull(),
    versionId: uuid("version_id").notNull(),
    makerId: uuid("maker_id").notNull(),
    phaseLetter: text("phase_letter").notNull(),
    materialId: uuid("material_id")
      .notNull()
      .references(() => materials.id),
    position: integer("position").notNull(),
    /** Null on the q.s. line, and on a draft's line that has no number yet. */
    percent: numeric("percent", { mode: "number" }),
    takesTheRest: boolean("takes_the_rest").notNull(),
    assayPercent: numeric("assay_percent", { mode: "number" }),
    /** As the recipe it came from has it; empty where it came from none. */
    asWritten: text("as_written").notNull().default(""),
  },
  (table) => [
    primaryKey({ name: "lines_pkey", columns: [table.versionId, table.id] }),
    foreignKey({
      name: "lines_version",
      columns: [table.versionId, table.makerId],
      foreignColumns: [versions.id, versions.makerId],
    }).onDelete("cascade"),
    foreignKey({
      name: "lines_phase",
      columns: [table.versionId, table.phaseLetter],
      foreignColumns: [phases.versionId, phases.letter],
    }).onDelete("cascade"),
    index("lines_material").on(table.materialId),
    uniqueIndex("lines_one_takes_the_rest")
      .on(table.versionId)
      .where(sql`takes_the_rest`),
    check("lines_percent", sql`${table.percent} >= 0 and ${table.percent} <= 100`),
    check("lines_as_written_length", sql`char_length(${table.asWritten}) <= 300`),
    check("lines_assay", sql`${table.assayPercent} > 0 and ${table.assayPercent} <= 100`),
    check("lines_rest_has_no_percent", sql`not (${table.takesTheRest} and ${table.percent} is not null)`),
  ],
);

/** From which lots a line is weighed. */
export const lineLots = pgTable(
  "line_lots",
  {
    versionId: uuid("version_id").notNull(),
    lineId: uuid("line_id").notNull(),
    lotId: uuid("lot_id").notNull(),
    makerId: uuid("maker_id").notNull(),
    position: integer("position").notNull(),
    /** Null: what the other lots leave of the line. */
    grams: numeric("grams", { mode: "number", precision: 12, scale: 3 }),
  },
  (table) => [
    primaryKey({ name: "line_lots_pkey", columns: [table.versionId, table.lineId, table.lotId] }),
    foreignKey({ name: "line_lots_line", columns: [table.versionId, table.lineId], foreignColumns: [lines.versionId, lines.id] }).onDelete(
      "cascade",
    ),
    foreignKey({
      name: "line_lots_version",
      columns: [table.versionId, table.makerId],
      foreignColumns: [versions.id, versions.makerId],
    }).onDelete("cascade"),
    foreignKey({ name: "line_lots_lot", columns: [table.lotId, table.makerId], foreignColumns: [lots.id, lots.makerId] }),
    index("line_lots_lot").on(table.lotId),
    check("line_lots_grams", sql`${table.grams} > 0 and ${table.grams} <= ${sql.raw(String(MOST_GRAMS))}`),
  ],
);

/** A version that begins as one of another formula stands: a trial, or a trial brought back. */
export const versionOrigins = pgTable(
  "version_origins",
  {
    versionId: uuid("version_id").primaryKey(),
    makerId: uuid("maker_id").notNull(),
    fromVersionId: uuid("from_version_id").notNull(),
  },
  (table) => [
    foreignKey({
      name: "version_origins_version",
      columns: [table.versionId, table.makerId],
      foreignColumns: [versions.id, versions.makerId],
    }).onDelete("cascade"),
    foreignKey({
      name: "version_origins_from",
      columns: [table.fromVersionId, table.makerId],
      foreignColumns: [versions.id, versions.makerId],
    }).onDelete("cascade"),
    index("version_origins_from_version").on(table.fromVersionId),
    check("version_origins_another", sql`${table.versionId} <> ${table.fromVersionId}`),
  ],
);
