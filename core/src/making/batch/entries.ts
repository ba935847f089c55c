/** What can be entered while a batch is made. An entry is never changed; one made by mistake is taken back by another. */
export type BatchEntry = EntryHead &
  (
    | { readonly kind: "tared"; readonly vessel: string; readonly grams: number }
    | { readonly kind: "weighed"; readonly step: string; readonly line: string; readonly grams: number }
    /** How a weight that was off is answered: it stands, or the lines still to come follow it. */
    | { readonly kind: "accepted" | "corrected"; readonly line: string }
    | { readonly kind: "done"; readonly step: string }
    | { readonly kind: "skipped"; readonly step: string; readonly reason: string }
    | { readonly kind: "noted"; readonly step: string | null; readonly text: string }
    | { readonly kind: "taken-back"; readonly entry: string }
    | { readonly kind: "finished"; readonly yieldGrams: number }
  );

interface EntryHead {
  /** Made where it was entered, so that one sent twice counts once. */
  readonly id: string;
  /** When, ISO. */
  readonly at: string;
}
