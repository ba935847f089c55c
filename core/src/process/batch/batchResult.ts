import type { BatchEntry, ClarityLook } from "./entries.ts";
import { batchState } from "./batchState.ts";
import type { BatchPlan } from "./batchPlan.ts";
import { massAccount, type MassAccount } from "./massAccount.ts";

/** What came of a batch: what was read of it last, and its masses. */
export interface BatchResult {
  /** Null where nobody read it. */
  readonly ph: number | null;
  readonly thickness: Pick<BatchEntry & { readonly kind: "thickness-read" }, "viscosity" | "unit" | "said" | "gauge"> | null;
  /** How clear it looked last, before an addition left out; null where nobody looked. */
  readonly clarity: ClarityLook | null;
  readonly account: MassAccount;
  /** What was noted while it was made. */
  readonly notes: readonly string[];
}

/** What a batch came to after all its entries; what was taken back is left out. */
export function batchResult(plan: BatchPlan, entries: readonly BatchEntry[]): BatchResult {
  const state = batchState(plan, entries);
  const ph = state.standing.findLast((entry) => entry.kind === "ph-read");
  const thickness = state.standing.findLast((entry) => entry.kind === "thickness-read");
  const looked = state.standing.findLast((entry) => entry.kind === "looked" && entry.when !== "before" && entry.clarity !== "");
  return {
    ph: ph?.kind === "ph-read" ? ph.ph : null,
    thickness: thickness?.kind === "thickness-read" ? thickness : null,
    clarity: looked?.kind === "looked" && looked.clarity !== "" ? looked.clarity : null,
    account: massAccount(plan, state),
    notes: state.standing.flatMap((entry) => (entry.kind === "noted" ? [entry.text] : [])),
  };
}
