import { and, asc, desc, eq, gt, ilike, isNull, notExists, sql } from "drizzle-orm";
import { alias } from "drizzle-orm/pg-core";
import type { Executor } from "../client.server";
import { formulas, versions } from "../formulas/schema";
import { plannedBatches } from "./schema";

export interface NewPlan {
  readonly id: string;
  readonly versionId: string;
  /** Written 2026-11-26. */
  readonly plannedOn: string;
  readonly grams: number;
  readonly note: string;
}

/** The batches a maker still means to make, the next first. */
export async function listPlannedBatches(db: Executor, makerId: string) {
  const { id, plannedOn, grams, note } = plannedBatches;
  return db
    .select({ id, plannedOn, grams, note, formulaId: formulas.id, name: formulas.name, number: versions.number, state: versions.state })
    .from(plannedBatches)
    .innerJoin(versions, and(eq(versions.id, plannedBatches.versionId), eq(versions.makerId, makerId)))
    .innerJoin(formulas, and(eq(formulas.id, versions.formulaId), eq(formulas.makerId, makerId)))
    .where(and(eq(plannedBatches.makerId, makerId), isNull(plannedBatches.batchId)))
    .orderBy(asc(plannedOn), asc(id));
}

/** Plans a batch; the same plan sent twice is one. */
export async function planBatchOn(db: Executor, makerId: string, plan: NewPlan): Promise<void> {
  await db
    .insert(plannedBatches)
    .values({ ...plan, makerId })
    .onConflictDoNothing();
}

/** Moves a planned batch to another day. Returns whether there is such a plan. */
export async function movePlan(db: Executor, makerId: string, planId: string, plannedOn: string): Promise<boolean> {
  const changed = await db
    .update(plannedBatches)
    .set({ plannedOn })
    .where(and(eq(plannedBatches.makerId, makerId), eq(plannedBatches.id, planId)))
    .returning({ id: plannedBatches.id });
  return changed.length > 0;
}

/** Drops a plan. Returns whether there was such a plan. */
export async function dropPlan(db: Executor, makerId: string, planId: string): Promise<boolean> {
  const gone = await db
    .delete(plannedBatches)
    .where(and(eq(plannedBatches.makerId, makerId), eq(plannedBatches.id, planId)))
    .returning({ id: plannedBatches.id });
  return gone.length > 0;
}

/** A planned batch became one that is being made. */
export async function beginPlanned(db: Executor, makerId: string, planId: string, batchId: string): Promise<void> {
  await db
    .update(plannedBatches)
    .set({ batchId })
    .where(and(eq(plannedBatches.makerId, makerId), eq(plannedBatches.id, planId)));
}

/** The newest final version of each formula, the one finalised last first. */
export async function listMakeable(db: Executor, makerId: string, most: number) {
  const newer = alias(versions, "newer");
  return db
    .select({
      ...{ formulaId: versions.formulaId, number: versions.number, batchGrams: versions.batchGrams, finalisedAt: versions.finalisedAt },
      ...{ stops: versions.stopCount, name: formulas.name },
    })
    .from(versions)
    .innerJoin(formulas, and(eq(formulas.id, versions.formulaId), eq(formulas.makerId, makerId)))
    .where(
      and(
        eq(versions.makerId, makerId),
        sql`${versions.state} = 'final'`,
        notExists(
          db
            .select({ id: newer.id })
            .from(newer)
            .where(and(eq(newer.formulaId, versions.formulaId), sql`${newer.state} = 'final'`, gt(newer.number, versions.number))),
        ),
      ),
    )
    .orderBy(desc(versions.finalisedAt))
    .limit(most);
}

/** The versions of the formulas changed last, to be planned; with a name in mind only those of formulas called so. */
export async function listPlannable(db: Executor, makerId: string, { most, called }: { readonly most: number; readonly called: string }) {
  const named = called === "" ? undefined : ilike(formulas.name, `%${called.replace(/[\\%_]/g, "\\$&")}%`);
  const chosen = db
    .select({ id: formulas.id, name: formulas.name })
    .from(formulas)
    .where(and(eq(formulas.makerId, makerId), named))
    .orderBy(desc(formulas.updatedAt), asc(formulas.id))
    .limit(most)
    .as("chosen");
  return db
    .select({ id: versions.id, number: versions.number, state: versions.state, batchGrams: versions.batchGrams, name: chosen.name })
    .from(chosen)
    .innerJoin(versions, and(eq(versions.formulaId, chosen.id), eq(versions.makerId, makerId)))
    .orderBy(asc(chosen.name), asc(versions.number));
}
