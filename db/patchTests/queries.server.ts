import { and, asc, eq, isNull } from "drizzle-orm";
import type { Executor } from "../client.server";
import { patchTests } from "../watch/schema";

export type NewPatchTest = Pick<typeof patchTests.$inferInsert, "id" | "batchId" | "tester" | "putOnAt">;

/** A patch was put on; the same sent twice is one. */
export async function beginPatchTest(db: Executor, makerId: string, test: NewPatchTest): Promise<void> {
  await db
    .insert(patchTests)
    .values({ ...test, makerId })
    .onConflictDoNothing();
}

export type PatchJudged = Required<Pick<typeof patchTests.$inferInsert, "lookedAt" | "seen" | "note">>;

/** What was seen under a patch; what was judged before stays. Returns whether there was one to judge. */
export async function judgePatchTest(db: Executor, makerId: string, testId: string, judged: PatchJudged): Promise<boolean> {
  const changed = await db
    .update(patchTests)
    .set(judged)
    .where(and(eq(patchTests.makerId, makerId), eq(patchTests.id, testId), isNull(patchTests.seen)))
    .returning({ id: patchTests.id });
  return changed.length > 0;
}

/** The patch tests of a batch, the first first. */
export async function listPatchTests(db: Executor, makerId: string, batchId: string) {
  return db
    .select()
    .from(patchTests)
    .where(and(eq(patchTests.makerId, makerId), eq(patchTests.batchId, batchId)))
    .orderBy(asc(patchTests.putOnAt), asc(patchTests.id));
}
