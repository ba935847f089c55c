import { useEffect, useRef } from "react";
import { historyKept, historyToKeep } from "../typed/keptHistory";
import type { SheetHistory } from "../typed/sheetHistory";
import type { TypedSheet } from "../typed/typedSheet";
import { latestKept } from "./keptTyping";

const keyOf = (versionId: string) => `tensidrum.history.${versionId}`;

/** Keeps what can be undone and redone over a reload of this tab. */
export function useKeptHistory(versionId: string, history: SheetHistory, resume: (history: SheetHistory) => void): void {
  const latest = useRef(history);
  latest.current = history;
  useEffect(() => {
    const loaded = latest.current;
    void historyBefore(versionId, loaded.now).then((before) => {
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
}

async function historyBefore(versionId: string, loaded: TypedSheet): Promise<SheetHistory | null> {
  const kept = read(versionId);
  if (kept === null) return null;
  const [{ storedHistory }, typing] = await Promise.all([import("./sheets.stored"), latestKept(versionId)]);
  return historyKept(storedHistory(kept), typing === null ? [loaded] : [loaded, typing]);
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
