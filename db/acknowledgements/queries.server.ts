import { and, desc, eq, sql } from "drizzle-orm";
import type { Executor } from "../client.server";
import { formulas } from "../formulas/schema";
import { acknowledgements } from "./schema";

export interface AcknowledgementRow {
  readonly code: string;
  readonly says: string;
  readonly reason: string;
}

/** Answers a maker gave to findings of a formula, the newest first. */
export async function listAcknowledgements(db: Executor, makerId: string, formulaId: string): Promise<readonly AcknowledgementRow[]> {
  return db
    .select({ code: acknowledgements.code, says: acknowledgements.says, reason: acknowledgements.reason })
    .from(acknowledgements)
    .where(and(eq(acknowledgements.makerId, makerId), eq(acknowledgements.formulaId, formulaId)))
    .orderBy(desc(acknowledgements.createdAt));
}

/** Keeps an answer; one to the same finding is replaced. Returns whether the formula is the maker's. */
export async function saveAcknowledgement(db: Executor, makerId: string, formulaId: string, answer: AcknowledgementRow): Promise<boolean> {
  const kept = await db
    .insert(acknowledgements)
    .select(
      db
        .select({
          formulaId: formulas.id,
          makerId: formulas.makerId,
          code: sql<string>`${answer.code}`.as("code"),
          says: sql<string>`${answer.says}`.as("says"),
          reason: sql<string>`${answer.reason}`.as("reason"),
          createdAt: sql<Date>`now()`.as("created_at"),
        })
        .from(formulas)
        .where(and(eq(formulas.makerId, makerId), eq(formulas.id, formulaId))),
    )
    .onConflictDoUpdate({
      target: [acknowledgements.formulaId, acknowledgements.code, acknowledgements.says],
      set: { reason: answer.reason, createdAt: sql`now()` },
    })
    .returning({ code: acknowledgements.code });
  return kept.length > 0;
}

/** Takes an answer back. Returns whether there was one. */
export async function deleteAcknowledgement(
  db: Executor,
  makerId: string,
  formulaId: string,
  answer: Pick<AcknowledgementRow, "code" | "says">,
): Promise<boolean> {
  const gone = await db
    .delete(acknowledgements)
    .where(
      and(
        eq(acknowledgements.makerId, makerId),
        eq(acknowledgements.formulaId, formulaId),
        eq(acknowledgements.code, answer.code),
        eq(acknowledgements.says, answer.says),
      ),
    )
    .returning({ code: acknowledgements.code });
  return gone.length > 0;
}
