import { and, desc, eq } from "drizzle-orm";
import type { Executor } from "../client.server";
import { versions } from "../formulas/schema";
import { practiceRuns } from "./schema";

export interface PracticeRun {
  readonly id: string;
  readonly seed: string;
  readonly points: number;
  readonly doses: number;
  readonly minutes: number;
  readonly endedAt: Date;
}

interface Wanted {
  readonly formulaId: string;
  readonly number: number;
}

/** The practice runs of a version, the newest first. */
export async function listPracticeRuns(db: Executor, makerId: string, { formulaId, number }: Wanted, most: number): Promise<PracticeRun[]> {
  const { id, seed, points, doses, minutes, endedAt } = practiceRuns;
  return db
    .select({ id, seed, points, doses, minutes, endedAt })
    .from(practiceRuns)
    .innerJoin(versions, and(eq(versions.id, practiceRuns.versionId), eq(versions.makerId, makerId)))
    .where(and(eq(practiceRuns.makerId, makerId), eq(versions.formulaId, formulaId), eq(versions.number, number)))
    .orderBy(desc(endedAt), desc(id))
    .limit(most);
}

/** Keeps how a practice run came out; one that is kept already stays as it is. */
export async function keepPracticeRun(db: Executor, makerId: string, versionId: string, run: PracticeRun): Promise<void> {
  await db
    .insert(practiceRuns)
    .values({ ...run, makerId, versionId })
    .onConflictDoNothing({ target: practiceRuns.id });
}
