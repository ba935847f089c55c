import type { FactDifference, Material, OwnFacts } from "@tensidrum/core/library";
import { sql } from "drizzle-orm";
import { type AnyPgColumn, check, index, jsonb, pgTable, primaryKey, text, timestamp, unique, uuid } from "drizzle-orm/pg-core";
import { makers } from "../makers/schema";

/** How the maker came by a material of their own; null: bought. */
export const waysOfMaking = ["solution", "water", "scent", "formula", "blend"] as const;

export type WayOfMaking = (typeof waysOfMaking)[number];

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
    madeAs: text("made_as", { enum: waysOfMaking }),
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
    check(
      "materials_made_here_is_own",
      sql`${table.madeAs} is null or (${table.makerId} is not null and ${table.madeAs} in ('solution', 'water', 'scent', 'formula', 'blend'))`,
    ),
  ],
);

/** Facts a maker holds against those of a reference material: only those that differ, by name. */
export const ownFacts = pgTable(
  "own_facts",
  {
    makerId: uuid("maker_id")
      .notNull()
      .references(() => makers.id, { onDelete: "cascade" }),
    materialId: uuid("material_id")
      .notNull()
      .references(() => materials.id, { onDelete: "cascade" }),
    facts: jsonb("facts").$type<OwnFacts>().notNull(),
    updatedAt: timestamp("updated_at", { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ name: "own_facts_pkey", columns: [table.makerId, table.materialId] }),
    check("own_facts_are_some", sql`jsonb_typeof(${table.facts}) = 'object' and ${table.facts} <> '{}'::jsonb`),
    check("own_facts_keep_identity", sql`not (${table.facts} ?| array['slug', 'name', 'role', 'inci', 'parts', 'uncertain', 'measured'])`),
  ],
);

/** What an update of the reference library changed of one material. */
export const libraryChanges = pgTable(
  "library_changes",
  {
    id: uuid("id").primaryKey().defaultRandom(),
    libraryVersion: text("library_version").notNull(),
    slug: text("slug").notNull(),
    name: text("name").notNull(),
    /** Empty for a material that is new. */
    differences: jsonb("differences").$type<readonly FactDifference[]>().notNull(),
    madeAt: timestamp("made_at", { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [index("library_changes_made_at").on(table.madeAt)],
);
