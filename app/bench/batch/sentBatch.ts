import type { Formula } from "@tensidrum/core/formula";
import { planBatch, type BatchEntry, type BatchPlan, type Step, type Vessel } from "@tensidrum/core/making";

/** An entry as the server holds it; positions of a batch only grow. */
export interface StoredEntry {
  readonly position: number;
  readonly entry: BatchEntry;
}

/** A batch as it is sent to the bench: all that is needed to go on without the server. */
export interface SentBatch {
  readonly id: string;
  readonly code: string;
  /** Of the size that is made, with its materials. */
  readonly formula: Formula;
  readonly steps: readonly Step[];
  readonly vessels: readonly Vessel[];
  readonly lots: readonly { readonly line: string; readonly code: string; readonly grams: number }[];
  /** Those that count for how it stands; what was noted is in the record. */
  readonly entries: readonly StoredEntry[];
  /** The last position of all entries, those that were not sent among them. */
  readonly position: number;
  /** The last batch of this version in which something was dosed; null for none. */
  readonly earlier: { readonly code: string; readonly batchGrams: number; readonly entries: readonly BatchEntry[] } | null;
  /** ISO moments. */
  readonly started: string;
  /** The server's time when it was sent. */
  readonly now: string;
}

/** The plan of a batch that was sent, its steps as they were when it was begun. */
export function planOfBatch({ formula, steps }: Pick<SentBatch, "formula" | "steps">): BatchPlan {
  const materials = new Map(formula.materials?.map((material) => [material.slug, material]));
  return { ...planBatch(formula, formula.batchGrams, materials), steps };
}
