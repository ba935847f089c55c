import type { Formula } from "../../formula/types.ts";
import type { MaterialsBySlug } from "../../library/material.ts";
import type { Deviation } from "../deviations.ts";
import type { DosedLot } from "./entries.ts";
import type { Step } from "../step.ts";

/** A batch as it was planned when it was begun. */
export interface BatchPlan {
  /** Of the size that is made. */
  readonly formula: Formula;
  readonly materials: MaterialsBySlug;
  readonly steps: readonly Step[];
  /** What each line is to weigh, as the scales show it, g. */
  readonly targets: ReadonlyMap<string, number>;
  /** Acids and bases that stand on the shelf; their materials are among the others. */
  readonly shelf?: readonly ShelfSolution[];
}

/** An acid or a base on the shelf, by its lot. */
export interface ShelfSolution {
  readonly material: string;
  readonly lot: DosedLot;
  /** What the lot held before anything of this batch was dosed from it, g. */
  readonly leftGrams: number;
}

export interface BatchLine {
  readonly line: string;
  /** After corrections, g. */
  readonly targetGrams: number;
  /** Null while it has not been weighed. */
  readonly actualGrams: number | null;
  readonly deviation: Deviation | null;
  /** How far it may be off before it asks, % of the target. */
  readonly allowedPercent: number;
  /** It is off by so much that the maker must say what is to be done. */
  readonly asks: boolean;
}
