export type RefusalKind = "not-found" | "not-possible" | "conflict";

/** Something that cannot be done and that the maker can mend. */
export class Refusal extends Error {
  readonly kind: RefusalKind;
  /** Begins with a verb: what to do now. */
  readonly remedy: string;

  constructor(kind: RefusalKind, message: string, remedy: string) {
    super(message);
    this.name = "Refusal";
    this.kind = kind;
    this.remedy = remedy;
  }
}
