import type { Formula } from "@tensidrum/core/formula";
import type { MaterialsBySlug } from "@tensidrum/core/library";
import { planBatch, type BatchEntry, type BatchPlan, type SaltSample, type Step, type Vessel } from "@tensidrum/core/process";
import type { FunnelConstants } from "@tensidrum/core/rheology";

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
  /** Trials with the same surfactants. */
  readonly saltSamples: readonly SaltSample[];
  /** The maker's own funnel; null while it was never run with known liquids. */
  readonly funnel: FunnelConstants | null;
  /** ISO moments. */
  readonly started: string;
  /** The server's time when it was sent. */
  readonly now: string;
}

/** The plan of a batch that was sent, its steps as they were when it was begun. */
export function planOfBatch({ formula, steps }: Pick<SentBatch, "formula" | "steps">): BatchPlan {
  return { ...planBatch(formula, formula.batchGrams, materialsOf(formula)), steps };
}

/** The materials a formula carries with it. */
export function materialsOf({ materials = [] }: Pick<Formula, "materials">): MaterialsBySlug {
  return new Map(materials.map((material) => [material.slug, material]));
}
