import { sql } from "drizzle-orm";
import { check, foreignKey, pgTable, primaryKey, text, timestamp, uuid } from "drizzle-orm/pg-core";
import { formulas } from "../formulas/schema";

/** "I know, because…": a finding the maker has answered. It counts for that formula until its numbers change. */
export const findingAnswers = pgTable(
  "finding_answers",
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
    primaryKey({ name: "finding_answers_pkey", columns: [table.formulaId, table.code, table.says] }),
    foreignKey({
      name: "finding_answers_formula",
      columns: [table.formulaId, table.makerId],
      foreignColumns: [formulas.id, formulas.makerId],
    }).onDelete("cascade"),
    check("finding_answers_code", sql`${table.code} ~ '^[A-Z_]{2,40}$'`),
    check("finding_answers_says_length", sql`char_length(${table.says}) between 1 and 1000`),
    check("finding_answers_reason_length", sql`char_length(${table.reason}) between 1 and 500`),
  ],
);
