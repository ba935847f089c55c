import type { Material } from "@tensidrum/core/library";
import { sql } from "drizzle-orm";
import { type AnyPgColumn, check, index, jsonb, pgTable, text, timestamp, unique, uuid } from "drizzle-orm/pg-core";
import { makers } from "../makers/schema";

/** Reference materials belong to nobody; an own one belongs to its maker and is a whole material of its own. */
export const materials = pgTable(
  "materials",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    makerId: uuid("maker_id").references(() => makers.id, { onDelete: "cascade" }),
    /** The reference material an own one began from. */
    basedOnId: uuid("based_on_id").references((): AnyPgColumn => materials.id, { onDelete: "set null" }),
    slug: text("slug").notNull(),
    name: text("name").notNull(),
    role: text("role").notNull(),
    charge: text("charge"),
    inciNames: text("inci_names").notNull(),
    facts: jsonb("facts").$type<Material>().notNull(),
    /** Version of the reference library the facts came with; null for an own material. */
    libraryVersion: text("library_version"),
    updatedAt: timestamp("updated_at", { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    unique("materials_maker_slug").on(table.makerId, table.slug).nullsNotDistinct(),
    index("materials_role").on(table.role),
    check("materials_name_length", sql`char_length(${table.name}) between 1 and 200`),
    check("materials_slug_form", sql`${table.slug} ~ '^[a-z0-9]+(-[a-z0-9]+)*$' and char_length(${table.slug}) <= 120`),
    check("materials_charge", sql`${table.charge} is null or ${table.charge} in ('anionic', 'amphoteric', 'nonionic', 'cationic')`),
    check("materials_facts_agree", sql`${table.facts} ->> 'slug' = ${table.slug} and ${table.facts} ->> 'name' = ${table.name}`),
    check("materials_reference_or_own", sql`(${table.makerId} is null) = (${table.libraryVersion} is not null)`),
    check("materials_based_on_is_own", sql`${table.basedOnId} is null or ${table.makerId} is not null`),
  ],
);
