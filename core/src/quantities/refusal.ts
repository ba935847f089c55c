export type RefusalKind = "not-found" | "not-possible" | "not-valid" | "conflict";

/** One field of a file that cannot be taken, with its path as `lines[3].percent`. */
export interface FieldFault {
  readonly path: string;
  readonly message: string;
}

/** Something that cannot be done and that the maker can fix. */
export class Refusal extends Error {
  readonly kind: RefusalKind;
  /** Begins with a verb: what to do now. */
  readonly remedy: string;
  /** Field by field, where a whole file was refused. */
  readonly faults: readonly FieldFault[];

  constructor(kind: RefusalKind, message: string, remedy: string, faults: readonly FieldFault[] = []) {
    super(message);
    this.name = "Refusal";
    this.kind = kind;
    this.remedy = remedy;
    this.faults = faults;
  }
}
