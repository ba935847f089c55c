import type { Expected } from "@tensidrum/core/comparison";
import { clarityLooks } from "@tensidrum/core/process";
import { sql, type SQL } from "drizzle-orm";
import {
  check,
  foreignKey,
  index,
  integer,
  jsonb,
  numeric,
  pgTable,
  text,
  timestamp,
  unique,
  uuid,
  type AnyPgColumn,
} from "drizzle-orm/pg-core";
import { bytes } from "../batches/schema";
import { versions } from "../formulas/schema";
import { makers } from "../makers/schema";

const words = (all: readonly string[]) => sql.raw(all.map((word) => `'${word}'`).join(", "));
const number = (name: string) => numeric(name, { mode: "number" });

/** What is measured of a wash that is compared; null where nobody did. */
const readings = {
  ph: number("ph"),
  /** Pa·s */
  pascalSeconds: number("pascal_seconds"),
  /** Through the maker's flow cup. */
  funnelSeconds: number("funnel_seconds"),
  foamAtOnceMm: number("foam_at_once_mm"),
  foamAfterFiveMm: number("foam_after_five_mm"),
  slip: number("slip"),
  rinse: number("rinse"),
  afterFeel: number("after_feel"),
  scent: number("scent"),
};

type Columns = Readonly<Record<keyof typeof readings, AnyPgColumn>>;

/** What readings may be, for the table of a name. */
const readingChecks = (name: string, table: Columns) => [
  check(`${name}_ph`, sql`${table.ph} between 0 and 14`),
  check(
    `${name}_thickness`,
    sql`${table.pascalSeconds} > 0 and ${table.pascalSeconds} <= 100000 and ${table.funnelSeconds} > 0 and ${table.funnelSeconds} <= 36000`,
  ),
  check(
    `${name}_foam`,
    sql`${table.foamAtOnceMm} between 0 and 1000 and ${table.foamAfterFiveMm} >= 0 and ${table.foamAfterFiveMm} <= ${table.foamAtOnceMm}`,
  ),
  check(`${name}_feel`, feel(table)),
];

function feel({ slip, rinse, afterFeel, scent }: Columns): SQL {
  return sql`${slip} between 1 and 5 and ${rinse} between 1 and 5 and ${afterFeel} between 1 and 5 and ${scent} between 1 and 5`;
}

/** How a printed list was read: what the maker knows of it beside the list itself. */
export interface KnownOfList {
  /** % w/w by the place of the name in the list, from 0. */
  readonly pins: Readonly<Record<string, number>>;
  /** Place of the last name at or above 1 %; null where nobody said. */
  readonly onePercentAfter: number | null;
}

/** A product to come close to. */
export const products = pgTable(
  "products",
  {
    id: uuid("id").primaryKey(),
    makerId: uuid("maker_id")
      .notNull()
      .references(() => makers.id, { onDelete: "cascade" }),
    name: text("name").notNull(),
    /** Its ingredients as they are printed on it. */
    printed: text("printed").notNull().default(""),
    known: jsonb("known").$type<KnownOfList>().notNull(),
    /** What it is: a profile's slug; empty where anything is possible. */
    profile: text("profile").notNull().default("everyday-shampoo"),
    price: number("price"),
    /** What is in it, g. */
    contentGrams: number("content_grams"),
    container: text("container").notNull().default(""),
    ...readings,
    /** What stays when it is dried, %. */
    dryMatterPercent: number("dry_matter_percent"),
    clarity: text("clarity").notNull().default(""),
    note: text("note").notNull().default(""),
    changedAt: timestamp("changed_at", { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    unique("products_id_maker").on(table.id, table.makerId),
    unique("products_maker_name").on(table.makerId, table.name),
    check(
      "products_lengths",
      sql`char_length(${table.name}) between 1 and 120 and char_length(${table.printed}) <= 20000 and char_length(${table.container}) <= 120 and char_length(${table.note}) <= 2000 and char_length(${table.profile}) <= 60`,
    ),
    check(
      "products_price",
      sql`${table.price} >= 0 and ${table.price} <= 1000000 and ${table.contentGrams} > 0 and ${table.contentGrams} <= 1000000`,
    ),
    check("products_dry", sql`${table.dryMatterPercent} between 0 and 100`),
    check("products_clarity", sql`${table.clarity} in ('', ${words(clarityLooks)})`),
    ...readingChecks("products", table),
  ],
);

/** A photo of a product, drawn anew from what was sent. */
export const productPhotos = pgTable(
  "product_photos",
  {
    productId: uuid("product_id").primaryKey(),
    makerId: uuid("maker_id").notNull(),
    picture: bytes("picture").notNull(),
    width: integer("width").notNull(),
    height: integer("height").notNull(),
  },
  (table) => [
    foreignKey({
      name: "product_photos_product",
      columns: [table.productId, table.makerId],
      foreignColumns: [products.id, products.makerId],
    }).onDelete("cascade"),
    check("product_photos_size", sql`octet_length(${table.picture}) between 1 and 5242880`),
    check("product_photos_sides", sql`${table.width} between 1 and 10000 and ${table.height} between 1 and 10000`),
  ],
);

/** What was measured of a version without a record of its batch, and what was learned of it. */
export const roundReadings = pgTable(
  "round_readings",
  {
    versionId: uuid("version_id").primaryKey(),
    makerId: uuid("maker_id").notNull(),
    ...readings,
    clarity: text("clarity").notNull().default(""),
    /** Pinned to the round. */
    learned: text("learned").notNull().default(""),
    changedAt: timestamp("changed_at", { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    foreignKey({
      name: "round_readings_version",
      columns: [table.versionId, table.makerId],
      foreignColumns: [versions.id, versions.makerId],
    }).onDelete("cascade"),
    check("round_readings_learned_length", sql`char_length(${table.learned}) <= 500`),
    check("round_readings_clarity", sql`${table.clarity} in ('', ${words(clarityLooks)})`),
    ...readingChecks("round_readings", table),
  ],
);

/** A change that was suggested and taken: what it was expected to do, for the round it began. */
export const suggestions = pgTable(
  "suggestions",
  {
    /** The draft it was taken into. */
    versionId: uuid("version_id").primaryKey(),
    makerId: uuid("maker_id").notNull(),
    fromVersionId: uuid("from_version_id").notNull(),
    /** Slug. */
    material: text("material").notNull(),
    fromPercent: number("from_percent").notNull(),
    toPercent: number("to_percent").notNull(),
    source: text("source", { enum: ["own", "model"] }).notNull(),
    expected: jsonb("expected").$type<readonly Expected[]>().notNull(),
    /** In words, as it stood there. */
    sentence: text("sentence").notNull(),
    takenAt: timestamp("taken_at", { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    foreignKey({
      name: "suggestions_version",
      columns: [table.versionId, table.makerId],
      foreignColumns: [versions.id, versions.makerId],
    }).onDelete("cascade"),
    foreignKey({
      name: "suggestions_from",
      columns: [table.fromVersionId, table.makerId],
      foreignColumns: [versions.id, versions.makerId],
    }).onDelete("cascade"),
    index("suggestions_maker_taken").on(table.makerId, table.takenAt),
    check("suggestions_source", sql`${table.source} in ('own', 'model')`),
    check("suggestions_percents", sql`${table.fromPercent} between 0 and 100 and ${table.toPercent} between 0 and 100`),
    check(
      "suggestions_lengths",
      sql`char_length(${table.sentence}) between 1 and 500 and char_length(${table.material}) between 1 and 120`,
    ),
  ],
);
