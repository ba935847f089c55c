import { useEffect, useRef } from "react";
import { historyKept, historyToKeep } from "../typed/keptHistory";
import type { SheetHistory } from "../typed/sheetHistory";
import { latestKept } from "./keptTyping";

const keyOf = (versionId: string) => `tensidrum.history.${versionId}`;

/** Keeps what can be undone and redone over a reload of this tab. */
export function useKeptHistory(versionId: string, history: SheetHistory, resume: (history: SheetHistory) => void): void {
  const latest = useRef(history);
  latest.current = history;
  useEffect(() => {
    const kept = read(versionId);
    const typing = latestKept(versionId);
    const before = kept === null ? null : historyKept(kept, [latest.current.now, ...(typing === null ? [] : [typing])]);
    if (before !== null) resume(before);
    const keep = () => write(versionId, latest.current);
    window.addEventListener("pagehide", keep);
    return () => {
      window.removeEventListener("pagehide", keep);
      keep();
    };
  }, [versionId, resume]);
}

function read(versionId: string): string | null {
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
