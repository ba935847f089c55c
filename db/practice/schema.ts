import { sql } from "drizzle-orm";
import { check, foreignKey, index, integer, numeric, pgTable, text, timestamp, uuid } from "drizzle-orm/pg-core";
import { versions } from "../formulas/schema";
import { makers } from "../makers/schema";

/** How a practice run of a version came out. Nothing real was made, so nothing but its score is kept. */
export const practiceRuns = pgTable(
  "practice_runs",
  {
    id: uuid("id").primaryKey(),
    makerId: uuid("maker_id")
      .notNull()
      .references(() => makers.id, { onDelete: "cascade" }),
    versionId: uuid("version_id").notNull(),
    /** Of the hidden batch; the same seed hides the same batch again. */
    seed: text("seed").notNull(),
    /** Of 100. */
    points: integer("points").notNull(),
    doses: integer("doses").notNull(),
    /** Of tuning. */
    minutes: numeric("minutes", { mode: "number" }).notNull(),
    endedAt: timestamp("ended_at", { withTimezone: true }).notNull(),
  },
  (table) => [
    foreignKey({
      name: "practice_runs_version",
      columns: [table.versionId, table.makerId],
      foreignColumns: [versions.id, versions.makerId],
    }).onDelete("cascade"),
    index("practice_runs_version_ended").on(table.makerId, table.versionId, table.endedAt),
    check("practice_runs_seed_length", sql`char_length(${table.seed}) between 1 and 80`),
    check("practice_runs_points", sql`${table.points} between 0 and 100`),
    check("practice_runs_doses", sql`${table.doses} between 0 and 500`),
    check("practice_runs_minutes", sql`${table.minutes} >= 0`),
  ],
);
