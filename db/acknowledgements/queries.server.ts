import { and, desc, eq, sql } from "drizzle-orm";
import type { Executor } from "../client.server";
import { formulas } from "../formulas/schema";
import { acknowledgements } from "./schema";

export interface AcknowledgementRow {
  readonly code: string;
  readonly fingerprint: string;
  readonly reason: string;
}

/** Findings of a formula that a maker has acknowledged, the newest first. */
export async function listAcknowledgements(db: Executor, makerId: string, formulaId: string): Promise<readonly AcknowledgementRow[]> {
  return db
    .select({ code: acknowledgements.code, fingerprint: acknowledgements.fingerprint, reason: acknowledgements.reason })
    .from(acknowledgements)
    .where(and(eq(acknowledgements.makerId, makerId), eq(acknowledgements.formulaId, formulaId)))
    .orderBy(desc(acknowledgements.createdAt));
}

/** Keeps an acknowledgement; one of the same finding is replaced. Returns whether the formula is the maker's. */
export async function saveAcknowledgement(
  db: Executor,
  makerId: string,
  formulaId: string,
  acknowledgement: AcknowledgementRow,
): Promise<boolean> {
  const kept = await db
    .insert(acknowledgements)
    .select(
      db
        .select({
          formulaId: formulas.id,
          makerId: formulas.makerId,
          code: sql<string>`${acknowledgement.code}`.as("code"),
          fingerprint: sql<string>`${acknowledgement.fingerprint}`.as("fingerprint"),
          reason: sql<string>`${acknowledgement.reason}`.as("reason"),
          createdAt: sql<Date>`now()`.as("created_at"),
        })
        .from(formulas)
        .where(and(eq(formulas.makerId, makerId), eq(formulas.id, formulaId))),
    )
    .onConflictDoUpdate({
      target: [acknowledgements.formulaId, acknowledgements.code, acknowledgements.fingerprint],
      set: { reason: acknowledgement.reason, createdAt: sql`now()` },
    })
    .returning({ code: acknowledgements.code });
  return kept.length > 0;
}

/** Deletes an acknowledgement. Returns whether there was one. */
export async function deleteAcknowledgement(
  db: Executor,
  makerId: string,
  formulaId: string,
  acknowledgement: Pick<AcknowledgementRow, "code" | "fingerprint">,
): Promise<boolean> {
  const gone = await db
    .delete(acknowledgements)
    .where(
      and(
        eq(acknowledgements.makerId, makerId),
        eq(acknowledgements.formulaId, formulaId),
        eq(acknowledgements.code, acknowledgement.code),
        eq(acknowledgements.fingerprint, acknowledgement.fingerprint),
      ),
    )
    .returning({ code: acknowledgements.code });
  return gone.length > 0;
}
