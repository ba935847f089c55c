import type { Formula } from "@tensidrum/core/formula";
import type { BatchEntry, SaltSample, ShelfForBatch, Step, Vessel } from "@tensidrum/core/process";
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
  /** Whose version it is; null once the formula is deleted, and for a practice run. */
  readonly formulaId: string | null;
  /** Of the size that is made, with its materials. */
  readonly formula: Formula;
  readonly steps: readonly Step[];
  readonly vessels: readonly Vessel[];
  readonly lots: readonly { readonly line: string; readonly code: string; readonly grams: number }[];
  /** What the pH can be adjusted with, and the facts of all that can come in beside the lines. */
  readonly shelf: ShelfForBatch;
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
  /** Names of the maker's containers. */
  readonly containers: readonly string[];
  /** ISO moments. */
  readonly started: string;
  /** The server's time when it was sent. */
  readonly now: string;
}
