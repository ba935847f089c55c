import { sql } from "drizzle-orm";
import { check, numeric, pgTable, text, timestamp, uuid } from "drizzle-orm/pg-core";

export const massUnits = ["g", "kg", "oz"] as const;

export type MassUnit = (typeof massUnits)[number];

/** Curtain Call, second batch of 26 November 2026: CC-261126-2. */
export const usualBatchCode = "{letters}-{yymmdd}-{n}";

export const makers = pgTable(
  "makers",
  {
    id: uuid("id").primaryKey(),
    name: text("name").notNull(),
    /** When the demo formulas were laid in, or declined; null until the first start has decided. */
    demoDecidedAt: timestamp("demo_decided_at", { withTimezone: true }),
    /** As the maker writes it: €, CHF, kr; empty where they never said. */
    currency: text("currency").notNull().default(""),
    /** In which amounts on the shelf are written. */
    massUnit: text("mass_unit", { enum: massUnits }).notNull().default("g"),
    /** How batches are named: letters of the formula, the day, a number. */
    batchCode: text("batch_code").notNull().default(usualBatchCode),
    /** Constants of the maker's funnel, η = ρ (k t − c ⁄ t) in Pa·s, g/mL and s; null while it was never run with known liquids. */
    funnelK: numeric("funnel_k", { mode: "number" }),
    funnelC: numeric("funnel_c", { mode: "number" }),
    createdAt: timestamp("created_at", { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    check("makers_name_length", sql`char_length(${table.name}) between 1 and 120`),
    check("makers_currency_length", sql`char_length(${table.currency}) <= 8`),
    check("makers_batch_code", sql`char_length(${table.batchCode}) between 3 and 40 and position('{n}' in ${table.batchCode}) > 0`),
    check("makers_funnel", sql`(${table.funnelK} is null) = (${table.funnelC} is null)`),
    check("makers_funnel_constants", sql`${table.funnelK} > 0 and ${table.funnelC} >= 0`),
    check("makers_mass_unit", sql`${table.massUnit} in ('g', 'kg', 'oz')`),
  ],
);

/** Where a maker works: this machine, or a paired device by its id. */
export const sessions = pgTable(
  "sessions",
  {
    place: text("place").primaryKey(),
    makerId: uuid("maker_id")
      .notNull()
      .references(() => makers.id, { onDelete: "cascade" }),
    begunAt: timestamp("begun_at", { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [check("sessions_place_length", sql`char_length(${table.place}) between 1 and 80`)],
);

/** The address at which a calendar asks for the coming days: one for each maker, kept as its hash. */
export const feeds = pgTable(
  "feeds",
  {
    makerId: uuid("maker_id")
      .primaryKey()
      .references(() => makers.id, { onDelete: "cascade" }),
    /** SHA-256, hex. */
    tokenHash: text("token_hash").notNull().unique(),
    since: timestamp("since", { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [check("feeds_token_hash", sql`${table.tokenHash} ~ '^[0-9a-f]{64}$'`)],
);
