import type { SheetAnswer } from "../sheetAnswer";
import type { CellKey } from "../typed/cells";
import type { FieldProblem } from "../../frame/formAnswer";
import type { TypedSheet } from "../typed/typedSheet";
import type { KeptTyping } from "./keptTyping";

export type SaveStatus =
  | { readonly kind: "saved"; readonly at: string | null }
  | { readonly kind: "typing" }
  | { readonly kind: "saving" }
  | { readonly kind: "to-fix" }
  /** What is typed could not be stored; it is tried again until it is. */
  | { readonly kind: "away"; readonly why: "server" | "database" | "busy" | "disk" }
  | { readonly kind: "refused"; readonly message: string; readonly remedy: string }
  /** Another window changed the same cells to something else. */
  | { readonly kind: "conflict"; readonly cells: readonly CellKey[]; readonly theirs: TypedSheet };

export interface SaverState {
  readonly status: SaveStatus;
  /** Revision of the draft the next save stands on. */
  readonly revision: number;
  /** What the server found wrong with the last save. */
  readonly problems: readonly FieldProblem[];
  /** Everything typed has reached the database. */
  readonly isStored: boolean;
  /** A save is on its way. */
  readonly isBusy: boolean;
}

/** A text of the sheet on its way to the server. */
export interface Sent {
  readonly typed: TypedSheet;
  readonly revision: number;
  readonly saveId: string;
  /** Earlier saves of this page whose answers were lost: they may have been stored all the same. */
  readonly unanswered: readonly string[];
}

/** What another window saved in between. */
export interface Met {
  readonly theirs: TypedSheet;
  readonly revision: number;
  /** The last saves of the draft. */
  readonly saves: readonly string[];
}

export interface SaverAround {
  /** Sends a text; rejects when no answer comes. */
  readonly send: (sent: Sent) => Promise<SheetAnswer>;
  readonly later: (milliseconds: number, call: () => void) => () => void;
  readonly newId: () => string;
  /** Keeps what is not stored yet on this device; null: everything is. */
  readonly keep: (kept: KeptTyping | null) => void;
  /** What the page shows is to become this, in a step that can be undone. */
  readonly show: (sheet: TypedSheet) => void;
  /** Another window's changes are to be brought into what the page shows, and into the steps that can be undone. */
  readonly rebase: (onto: { readonly base: TypedSheet; readonly theirs: TypedSheet }) => void;
}
