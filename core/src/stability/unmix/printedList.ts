/** An ingredient as the label names it, with what is known of its amount. */
export interface PrintedIngredient {
  readonly name: string;
  /** % w/w, where someone knows. */
  readonly min?: number;
  readonly max?: number;
}

/** A printed ingredient list. */
export interface PrintedList {
  /** In the order of the label. */
  readonly ingredients: readonly PrintedIngredient[];
  /** Index of the last ingredient at or above 1 %, from 0; after it the order is free. Null: descending throughout. */
  readonly onePercentLineAfter: number | null;
  /** What stays of it when it is dried, % w/w, and how sure that is; left out where nobody dried it. */
  readonly dryMatter?: { readonly percent: number; readonly spread: number };
  /** What the names at some places come to together, % w/w, as the active matter of what it is. */
  readonly together?: { readonly places: readonly number[]; readonly low: number; readonly high: number; readonly what: string };
  /** Water that the bottles of each name bring, parts of the name: there is at least so much water in it. 0 where none does. */
  readonly broughtWater?: readonly number[];
}

/** Where a bound comes from. */
export type BoundSource = "typed" | "library" | "none";

/** Bounds of one ingredient, % w/w. */
export interface Bounds {
  readonly min: number;
  readonly max: number;
  readonly minFrom: BoundSource;
  readonly maxFrom: BoundSource;
}
