import { and, desc, eq, sql } from "drizzle-orm";
import type { Executor } from "../client.server";
import { formulas } from "../formulas/schema";
import { findingAnswers } from "./schema";

export interface AnswerRow {
  readonly code: string;
  readonly says: string;
  readonly reason: string;
}

/** Answers a maker gave to findings of a formula, the newest first. */
export async function listAnswers(db: Executor, makerId: string, formulaId: string): Promise<readonly AnswerRow[]> {
  return db
    .select({ code: findingAnswers.code, says: findingAnswers.says, reason: findingAnswers.reason })
    .from(findingAnswers)
    .where(and(eq(findingAnswers.makerId, makerId), eq(findingAnswers.formulaId, formulaId)))
    .orderBy(desc(findingAnswers.createdAt));
}

/** Keeps an answer; one to the same finding is replaced. Returns whether the formula is the maker's. */
export async function saveAnswer(db: Executor, makerId: string, formulaId: string, answer: AnswerRow): Promise<boolean> {
  const kept = await db
    .insert(findingAnswers)
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
      target: [findingAnswers.formulaId, findingAnswers.code, findingAnswers.says],
      set: { reason: answer.reason, createdAt: sql`now()` },
    })
    .returning({ code: findingAnswers.code });
  return kept.length > 0;
}

/** Takes an answer back. Returns whether there was one. */
export async function deleteAnswer(
  db: Executor,
  makerId: string,
  formulaId: string,
  answer: Pick<AnswerRow, "code" | "says">,
): Promise<boolean> {
  const gone = await db
    .delete(findingAnswers)
    .where(
      and(
        eq(findingAnswers.makerId, makerId),
        eq(findingAnswers.formulaId, formulaId),
        eq(findingAnswers.code, answer.code),
        eq(findingAnswers.says, answer.says),
      ),
    )
    .returning({ code: findingAnswers.code });
  return gone.length > 0;
}
