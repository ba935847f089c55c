import { useEffect, useLayoutEffect, useRef, useState } from "react";
import { flushSync } from "react-dom";
import type { DraggableLineRow, DragLines } from "./DragLines";
import { PERCENT_MARK } from "./lineKeys";

interface Dragging {
  readonly DragLines: typeof DragLines;
  readonly DraggableLineRow: typeof DraggableLineRow;
}

interface Caret {
  readonly lineId: string;
  readonly start: number | null;
  readonly end: number | null;
}

function caretNow(): Caret | null {
  const cell = document.activeElement;
  const lineId = cell?.getAttribute(PERCENT_MARK);
  if (lineId == null || !(cell instanceof HTMLInputElement)) return null;
  return { lineId, start: cell.selectionStart, end: cell.selectionEnd };
}

function putCaret({ lineId, start, end }: Caret): void {
  const cell = document.querySelector<HTMLInputElement>(`input[${PERCENT_MARK}="${CSS.escape(lineId)}"]`);
  cell?.focus({ preventScroll: true });
  cell?.setSelectionRange(start, end);
}

/**
 * Dragging comes after the page is there: neither the server nor the first drawing needs it. The rows are made anew
 * with it, so a caret in one of them is put back.
 */
export function useDragging(isWanted: boolean): Dragging | null {
  const [dragging, setDragging] = useState<Dragging | null>(null);
  const caret = useRef<Caret | null>(null);
  useEffect(() => {
    if (!isWanted) return;
    let isGone = false;
    void import("./DragLines").then((module) => {
      if (isGone) return;
      caret.current = caretNow();
      // At once: between looking where the caret is and putting it back no key may come.
      flushSync(() => setDragging(module));
    });
    return () => {
      isGone = true;
    };
  }, [isWanted]);
  useLayoutEffect(() => {
    if (dragging !== null && caret.current !== null) putCaret(caret.current);
  }, [dragging]);
  return dragging;
}
