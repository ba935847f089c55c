import { sql } from "drizzle-orm";
import { check, integer, numeric, pgTable, text, unique, uuid } from "drizzle-orm/pg-core";
import { makers } from "../makers/schema";

export const scales = pgTable(
  "scales",
  {
    id: uuid("id").primaryKey(),
    makerId: uuid("maker_id")
      .notNull()
      .references(() => makers.id, { onDelete: "cascade" }),
    name: text("name").notNull(),
    readabilityGrams: numeric("readability_grams", { mode: "number" }).notNull(),
    capacityGrams: numeric("capacity_grams", { mode: "number" }).notNull(),
    position: integer("position").notNull(),
  },
  (table) => [
    unique("scales_maker_name").on(table.makerId, table.name),
    check("scales_name_length", sql`char_length(${table.name}) between 1 and 60`),
    check("scales_readability", sql`${table.readabilityGrams} > 0 and ${table.readabilityGrams} <= 1000`),
    check("scales_capacity", sql`${table.capacityGrams} > ${table.readabilityGrams}`),
  ],
);
