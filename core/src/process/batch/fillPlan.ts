/** What a wash can be filled into. */
export const containerTypes = ["bottle", "pump", "foaming-pump", "tube", "jar", "piping-bag", "sachet", "bulk"] as const;

export type ContainerType = (typeof containerTypes)[number];

/** What a filled container is for: to use or give away, to let others try, or kept to watch how it ages. */
export const fillUses = ["use", "tester", "retained"] as const;

export type FillUse = (typeof fillUses)[number];

/** What the maker sees to before filling, beside what is read. */
export const fillChecks = ["clean", "refill"] as const;

export type FillCheck = (typeof fillChecks)[number];

/** Containers of one kind as they are to be filled. */
export interface PlannedContainer {
  /** Of this row of the plan. */
  readonly id: string;
  /** The maker's container; null for one that is not on the shelf. */
  readonly container: string | null;
  readonly name: string;
  readonly type: ContainerType;
  readonly use: FillUse;
  readonly count: number;
  /** Net content of each, g. */
  readonly grams: number;
  /** Of an empty one with its closure; null where nobody weighed it. */
  readonly tareGrams: number | null;
  /** Name of the part of the batch that goes into it; left out for the whole batch, or for what of the base is left. */
  readonly part?: string;
}

export interface FillDensity {
  readonly gramsPerMl: number;
  /** "measured" on the product, by the "volume" of 100 g, or an "estimate" from its lines. */
  readonly source: "measured" | "volume" | "estimate";
}
