import { sql } from "drizzle-orm";
import { check, foreignKey, pgTable, primaryKey, text, timestamp, uuid } from "drizzle-orm/pg-core";
import { formulas } from "../formulas/schema";

/** "I know, because…": a finding the maker has answered. It counts for that formula until its numbers change. */
export const acknowledgements = pgTable(
  "acknowledgements",
  {
    formulaId: uuid("formula_id").notNull(),
    makerId: uuid("maker_id").notNull(),
    code: text("code").notNull(),
    /** What the finding said; with other numbers it says something else. */
    says: text("says").notNull(),
    reason: text("reason").notNull(),
    createdAt: timestamp("created_at", { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ name: "acknowledgements_pkey", columns: [table.formulaId, table.code, table.says] }),
    foreignKey({
      name: "acknowledgements_formula",
      columns: [table.formulaId, table.makerId],
      foreignColumns: [formulas.id, formulas.makerId],
    }).onDelete("cascade"),
    check("acknowledgements_code", sql`${table.code} ~ '^[A-Z_]{2,40}$'`),
    check("acknowledgements_says_length", sql`char_length(${table.says}) between 1 and 1000`),
    check("acknowledgements_reason_length", sql`char_length(${table.reason}) between 1 and 500`),
  ],
);
