/** What could not be worked out, and the fact it lacked. */
export interface Lacking<What extends string> {
  readonly what: What;
  readonly missing: string;
  /** Ids of the lines that lack it. */
  readonly lines: readonly string[];
}
