import { sql } from "drizzle-orm";
import { check, pgTable, text, timestamp, uuid } from "drizzle-orm/pg-core";

export const makers = pgTable(
  "makers",
  {
    id: uuid("id").primaryKey(),
    name: text("name").notNull(),
    /** When the demo formulas were laid in, or declined; null until the first start has decided. */
    demoDecidedAt: timestamp("demo_decided_at", { withTimezone: true }),
    createdAt: timestamp("created_at", { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [check("makers_name_length", sql`char_length(${table.name}) between 1 and 120`)],
);
