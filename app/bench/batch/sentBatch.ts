import type { Formula } from "@tensidrum/core/formula";
import type { Material, MaterialsBySlug } from "@tensidrum/core/library";
import {
  planBatch,
  type BatchEntry,
  type BatchPlan,
  type SaltSample,
  type ShelfSolution,
  type Step,
  type Vessel,
} from "@tensidrum/core/process";
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
  /** What the pH can be adjusted with, and the facts of all that can come in beside the lines. */
  readonly shelf: { readonly lots: readonly ShelfSolution[]; readonly materials: readonly Material[] };
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
export function planOfBatch({ formula, steps, shelf }: Pick<SentBatch, "formula" | "steps" | "shelf">): BatchPlan {
  const plan = planBatch(formula, formula.batchGrams, materialsOf(formula));
  // What the formula brings of a material stands as it was when the batch was begun.
  const materials = new Map([...shelf.materials.map((material) => [material.slug, material] as const), ...plan.materials]);
  return { ...plan, materials, steps, shelf: shelf.lots };
}

/** Nothing stands on the shelf. */
export const emptyShelf: SentBatch["shelf"] = { lots: [], materials: [] };

/** The materials a formula carries with it. */
export function materialsOf({ materials = [] }: Pick<Formula, "materials">): MaterialsBySlug {
  return new Map(materials.map((material) => [material.slug, material]));
}
