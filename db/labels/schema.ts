import type { LabelDesign } from "@tensidrum/core/packaging";
import { sql } from "drizzle-orm";
import { check, foreignKey, index, jsonb, pgTable, text, timestamp, unique, uuid } from "drizzle-orm/pg-core";
import { containers } from "../containers/schema";
import { formulas } from "../formulas/schema";
import { makers } from "../makers/schema";

/** How the label of a formula looks on a container; the next batch of it begins with it. */
export const labels = pgTable(
  "labels",
  {
    id: uuid("id").primaryKey(),
    makerId: uuid("maker_id")
      .notNull()
      .references(() => makers.id, { onDelete: "cascade" }),
    formulaId: uuid("formula_id").notNull(),
    /** Null for one that is not on the shelf. */
    containerId: uuid("container_id").references(() => containers.id, { onDelete: "cascade" }),
    /** Name of the part of the batch; empty for one that serves the whole batch. */
    part: text("part").notNull().default(""),
    /** The complete tensidrum-label/1 file. */
    design: jsonb("design").$type<LabelDesign>().notNull(),
    updatedAt: timestamp("updated_at", { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    unique("labels_of").on(table.makerId, table.formulaId, table.containerId, table.part).nullsNotDistinct(),
    index("labels_container").on(table.containerId),
    foreignKey({
      name: "labels_formula",
      columns: [table.formulaId, table.makerId],
      foreignColumns: [formulas.id, formulas.makerId],
    }).onDelete("cascade"),
    check("labels_part_length", sql`char_length(${table.part}) <= 200`),
    check("labels_design", sql`${table.design} ->> 'format' = 'tensidrum-label/1'`),
  ],
);
