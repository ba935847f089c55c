import { isSameSheet } from "./cells";
import { mergeTyped } from "./mergeTyped";
import type { TypedSheet } from "./typedSheet";

/** The sheet now, and the ways back and forth. */
export interface SheetHistory {
  readonly now: TypedSheet;
  readonly past: readonly TypedSheet[];
  readonly future: readonly TypedSheet[];
  /** What the last step changed; typing on in the same cell is one step. */
  readonly lastKey: string | null;
}

export type HistoryStep =
  | { readonly kind: "change"; readonly key: string | null; readonly change: (sheet: TypedSheet) => TypedSheet }
  | { readonly kind: "undo" }
  | { readonly kind: "redo" }
  | { readonly kind: "replace"; readonly sheet: TypedSheet }
  /** Goes on with the history of the page before a reload. */
  | { readonly kind: "resume"; readonly history: SheetHistory }
  /** What another window changed since `base` comes into the sheet and into every step that can be undone or redone. */
  | { readonly kind: "rebase"; readonly base: TypedSheet; readonly theirs: TypedSheet };

const MOST_STEPS = 200;
/** Further steps are let go when another window's changes come in: each is merged anew. */
const MOST_REBASED = 30;

export function startHistory(sheet: TypedSheet): SheetHistory {
  return { now: sheet, past: [], future: [], lastKey: null };
}

export function sheetHistory(history: SheetHistory, step: HistoryStep): SheetHistory {
  switch (step.kind) {
    case "change": {
      const now = step.change(history.now);
      if (now === history.now) return history;
      const goesOn = step.key !== null && step.key === history.lastKey;
      const past = goesOn ? history.past : [...history.past, history.now].slice(-MOST_STEPS);
      return { now, past, future: [], lastKey: step.key };
    }
    case "undo": {
      const now = history.past.at(-1);
      if (now === undefined) return history;
      return { now, past: history.past.slice(0, -1), future: [history.now, ...history.future], lastKey: null };
    }
    case "redo": {
      const [now, ...future] = history.future;
      if (now === undefined) return history;
      return { now, past: [...history.past, history.now], future, lastKey: null };
    }
    case "resume":
      return step.history;
    case "replace":
      if (isSameSheet(step.sheet, history.now)) return history;
      return { now: step.sheet, past: [...history.past, history.now].slice(-MOST_STEPS), future: [], lastKey: null };
    case "rebase": {
      const onto = (sheet: TypedSheet) => mergeTyped(step.base, sheet, step.theirs).sheet;
      const past = history.past.slice(-MOST_REBASED).map(onto);
      return { now: onto(history.now), past, future: history.future.slice(0, MOST_REBASED).map(onto), lastKey: history.lastKey };
    }
  }
}
