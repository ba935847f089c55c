import { thicknessUnits } from "@tensidrum/core/process";
import { sql } from "drizzle-orm";
import { check, index, numeric, pgTable, text, timestamp, uuid } from "drizzle-orm/pg-core";
import { makers } from "../makers/schema";

/** A jar of a base with so much salt in all, and how thick it was. It belongs to the surfactants, whatever is made of them. */
export const saltSamples = pgTable(
  "salt_samples",
  {
    id: uuid("id").primaryKey(),
    makerId: uuid("maker_id")
      .notNull()
      .references(() => makers.id, { onDelete: "cascade" }),
    /** Hash of the surfactant part. */
    base: text("base").notNull(),
    /** Hidden and added, % w/w. */
    saltPercent: numeric("salt_percent", { mode: "number" }).notNull(),
    viscosity: numeric("viscosity", { mode: "number" }).notNull(),
    unit: text("unit", { enum: thicknessUnits }).notNull(),
    /** How it was measured, in words; empty for a number that was typed. */
    said: text("said").notNull().default(""),
    madeAt: timestamp("made_at", { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    index("salt_samples_base").on(table.makerId, table.base),
    check("salt_samples_base_hash", sql`${table.base} ~ '^[0-9a-f]{64}$'`),
    check("salt_samples_salt", sql`${table.saltPercent} >= 0 and ${table.saltPercent} <= 30`),
    check("salt_samples_viscosity", sql`${table.viscosity} > 0 and ${table.viscosity} <= 100000`),
    check("salt_samples_unit", sql`${table.unit} in (${sql.raw(thicknessUnits.map((unit) => `'${unit}'`).join(", "))})`),
    check("salt_samples_said_length", sql`char_length(${table.said}) <= 120`),
  ],
);
