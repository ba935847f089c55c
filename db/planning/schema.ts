import { MOST_GRAMS } from "@tensidrum/core/quantities";
import { sql } from "drizzle-orm";
import { check, date, foreignKey, index, numeric, pgTable, text, uuid } from "drizzle-orm/pg-core";
import { batches } from "../batches/schema";
import { versions } from "../formulas/schema";
import { makers } from "../makers/schema";

/** A batch the maker means to make on a day. */
export const plannedBatches = pgTable(
  "planned_batches",
  {
    id: uuid("id").primaryKey(),
    makerId: uuid("maker_id")
      .notNull()
      .references(() => makers.id, { onDelete: "cascade" }),
    versionId: uuid("version_id").notNull(),
    plannedOn: date("planned_on").notNull(),
    grams: numeric("grams", { mode: "number", precision: 12, scale: 3 }).notNull(),
    note: text("note").notNull().default(""),
    /** The batch it became; null while it is still to be made. */
    batchId: uuid("batch_id").references(() => batches.id, { onDelete: "set null" }),
  },
  (table) => [
    foreignKey({
      name: "planned_batches_version",
      columns: [table.versionId, table.makerId],
      foreignColumns: [versions.id, versions.makerId],
    }).onDelete("cascade"),
    index("planned_batches_maker_day").on(table.makerId, table.plannedOn),
    check("planned_batches_grams", sql`${table.grams} > 0 and ${table.grams} <= ${sql.raw(String(MOST_GRAMS))}`),
    check("planned_batches_note_length", sql`char_length(${table.note}) <= 200`),
  ],
);
