import { and, asc, desc, eq, isNull } from "drizzle-orm";
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

/** Versions of a maker by what a list of them says: the last final one and the draft of each formula. */
/** The newest final version of each formula, the one finalised last first. */
export async function listMakeable(db: Executor, makerId: string, most: number) {
  const newest = db
    .selectDistinctOn([versions.formulaId], {
      ...{ formulaId: versions.formulaId, number: versions.number, batchGrams: versions.batchGrams, finalisedAt: versions.finalisedAt },
      ...{ stops: versions.stopCount, name: formulas.name },
    })
    .from(versions)
    .innerJoin(formulas, and(eq(formulas.id, versions.formulaId), eq(formulas.makerId, makerId)))
    .where(and(eq(versions.makerId, makerId), eq(versions.state, "final")))
    .orderBy(versions.formulaId, desc(versions.number))
    .as("newest");
  return db.select().from(newest).orderBy(desc(newest.finalisedAt)).limit(most);
}

export async function listPlannable(db: Executor, makerId: string) {
  return db
    .select({ id: versions.id, number: versions.number, state: versions.state, batchGrams: versions.batchGrams, name: formulas.name })
    .from(versions)
    .innerJoin(formulas, and(eq(formulas.id, versions.formulaId), eq(formulas.makerId, makerId)))
    .where(eq(versions.makerId, makerId))
    .orderBy(asc(formulas.name), asc(versions.number));
}
