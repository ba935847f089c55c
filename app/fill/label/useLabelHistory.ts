import type { LabelDesign } from "@tensidrum/core/packaging";
import { useReducer } from "react";

type Act = { readonly kind: "change"; readonly step: (design: LabelDesign) => LabelDesign } | { readonly kind: "undo" };

/** What the label was, the newest last; there is always one. */
export function labelHistory(history: readonly LabelDesign[], act: Act): readonly LabelDesign[] {
  const last = history.at(-1);
  if (last === undefined) return history;
  if (act.kind === "change") return [...history, act.step(last)];
  return history.length > 1 ? history.slice(0, -1) : history;
}

/** The label as it is being laid out, and how to change it and take the last change back. */
export function useLabelHistory(first: LabelDesign) {
  const [history, dispatch] = useReducer(labelHistory, [first]);
  return {
    design: history.at(-1) ?? first,
    canUndo: history.length > 1,
    change: (step: (design: LabelDesign) => LabelDesign) => dispatch({ kind: "change", step }),
    undo: () => dispatch({ kind: "undo" }),
  };
}
