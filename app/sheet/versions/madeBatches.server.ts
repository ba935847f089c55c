import { batchResult, storedPlan, type BatchResult } from "@tensidrum/core/process";
import type { Executor } from "../../../db/client.server";
import { materialsBeside } from "../../../db/batches/beside.server";
import { listClosedBatchesOf } from "../../../db/batches/queries.server";

/** So many closed batches of a formula are looked at: each brings all its entries. */
const MOST = 4;

/** A closed batch of a version with what came of it. */
export interface MadeBatch extends Pick<BatchResult, "ph" | "thickness" | "clarity"> {
  readonly id: string;
  readonly versionId: string;
  readonly code: string;
  readonly yieldGrams: number;
  readonly yieldPercent: number | null;
}

/** The last closed batch of each version of a formula that was made lately. */
export async function madeBatches(db: Executor, makerId: string, formulaId: string): Promise<readonly MadeBatch[]> {
  const seen = new Set<string>();
  const made: MadeBatch[] = [];
  for (const batch of await closedBatches(db, makerId, formulaId)) {
    const { ph, thickness, clarity, account } = batch.result;
    if (account.yieldGrams === null || seen.has(batch.versionId)) continue;
    seen.add(batch.versionId);
    const { id, versionId, code } = batch;
    made.push({ id, versionId, code, ph, thickness, clarity, yieldGrams: account.yieldGrams, yieldPercent: account.yieldPercent });
  }
  return made;
}

/** The last closed batches of a formula, or one of them, with their plans and results. */
export async function closedBatches(db: Executor, makerId: string, formulaId: string, batchId?: string) {
  const rows = await listClosedBatchesOf(db, makerId, formulaId, { most: MOST, ...(batchId === undefined ? {} : { batchId }) });
  return Promise.all(
    rows.map(async (row) => {
      const beside = await materialsBeside(db, makerId, row.entries);
      const plan = storedPlan(row, { lots: [], materials: [...beside.values()] });
      return { ...row, plan, result: batchResult(plan, row.entries) };
    }),
  );
}
