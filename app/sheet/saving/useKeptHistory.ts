import { useEffect, useRef, type RefObject } from "react";
import { historyKept, historyToKeep } from "../typed/keptHistory";
import type { SheetHistory } from "../typed/sheetHistory";
import type { TypedSheet } from "../typed/typedSheet";
import { latestKept } from "./keptTyping";

const keyOf = (versionId: string) => `tensidrum.history.${versionId}`;

/**
 * Keeps what can be undone and redone over a reload of this tab. Returns what to wait for before a step is undone: what was
 * kept is read after the page is drawn.
 */
export function useKeptHistory(
  versionId: string,
  history: SheetHistory,
  resume: (history: SheetHistory) => void,
): RefObject<Promise<void>> {
  const read = useRef<Promise<void>>(Promise.resolve());
  const latest = useRef(history);
  latest.current = history;
  useEffect(() => {
    const loaded = latest.current;
    read.current = historyBefore(versionId, loaded.now)
      .catch(() => null)
      .then((before) => {
        // What was typed meanwhile is the newer history.
        if (before !== null && latest.current === loaded) resume(before);
      });
    const keep = () => write(versionId, latest.current);
    window.addEventListener("pagehide", keep);
    return () => {
      window.removeEventListener("pagehide", keep);
      keep();
    };
  }, [versionId, resume]);
  return read;
}

async function historyBefore(versionId: string, loaded: TypedSheet): Promise<SheetHistory | null> {
  const kept = textOf(versionId);
  if (kept === null) return null;
  const [{ storedHistory }, typing] = await Promise.all([import("./sheets.stored"), latestKept(versionId)]);
  return historyKept(storedHistory(kept), typing === null ? [loaded] : [loaded, typing]);
}

function textOf(versionId: string): string | null {
  try {
    return sessionStorage.getItem(keyOf(versionId));
  } catch {
    return null;
  }
}

function write(versionId: string, history: SheetHistory): void {
  try {
    if (history.past.length + history.future.length === 0) sessionStorage.removeItem(keyOf(versionId));
    else sessionStorage.setItem(keyOf(versionId), historyToKeep(history));
  } catch {
    // Storage is full or barred: the page forgets its steps on a reload.
  }
}
