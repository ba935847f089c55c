import { sql } from "drizzle-orm";
import { check, foreignKey, pgTable, primaryKey, text, timestamp, uuid } from "drizzle-orm/pg-core";
import { formulas } from "../formulas/schema";

/** A finding the maker has acknowledged, with the reason. It counts for that formula until its numbers change. */
export const acknowledgements = pgTable(
  "acknowledgements",
  {
    formulaId: uuid("formula_id").notNull(),
    makerId: uuid("maker_id").notNull(),
    code: text("code").notNull(),
    /** Of the finding's facts; or "said:" with its sentence, where it was kept before there were fingerprints. */
    fingerprint: text("fingerprint").notNull(),
    reason: text("reason").notNull(),
    createdAt: timestamp("created_at", { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ name: "acknowledgements_pkey", columns: [table.formulaId, table.code, table.fingerprint] }),
    foreignKey({
      name: "acknowledgements_formula",
      columns: [table.formulaId, table.makerId],
      foreignColumns: [formulas.id, formulas.makerId],
    }).onDelete("cascade"),
    check("acknowledgements_code", sql`${table.code} ~ '^[A-Z_]{2,40}$'`),
    check(
      "acknowledgements_fingerprint",
      sql`${table.fingerprint} ~ '^([0-9a-f]{64}|said:.+)$' and char_length(${table.fingerprint}) <= 1005`,
    ),
    check("acknowledgements_reason_length", sql`char_length(${table.reason}) between 1 and 500`),
  ],
);
