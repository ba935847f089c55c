import type { LabelDesign } from "@tensidrum/core/packaging";
import { useReducer } from "react";

interface Kept {
  readonly design: LabelDesign;
  /** What belongs together and is taken back as one: a drag from taking hold to letting go. */
  readonly hold: string | null;
}

type Act =
  | { readonly kind: "change"; readonly step: (design: LabelDesign) => LabelDesign; readonly hold: string | null }
  | { readonly kind: "undo" };

/** What the label was, the newest last; there is always one. */
export function labelHistory(history: readonly Kept[], act: Act): readonly Kept[] {
  if (act.kind === "undo") return history.length > 1 ? history.slice(0, -1) : history;
  const last = history.at(-1);
  if (last === undefined) return history;
  const next = { design: act.step(last.design), hold: act.hold };
  const isSameHold = act.hold !== null && act.hold === last.hold;
  return isSameHold ? [...history.slice(0, -1), next] : [...history, next];
}

/** The label as it is being laid out, and how to change it and take the last change back. */
export function useLabelHistory(first: LabelDesign) {
  const [history, dispatch] = useReducer(labelHistory, [{ design: first, hold: null }]);
  return {
    design: history.at(-1)?.design ?? first,
    canUndo: history.length > 1,
    change: (step: (design: LabelDesign) => LabelDesign, hold: string | null = null) => dispatch({ kind: "change", step, hold }),
    undo: () => dispatch({ kind: "undo" }),
  };
}
