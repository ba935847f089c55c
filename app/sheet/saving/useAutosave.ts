import { useEffect, useLayoutEffect, useState, useSyncExternalStore } from "react";
import type { SheetEditor } from "../useSheetEditor";
import { forgetTyping, keepTyping } from "./keptTyping";
import { saveBody, sendSave } from "./sendSave";
import type { SaverState } from "./saverState";
import { SheetSaver } from "./sheetSaver";

interface AutosaveOptions {
  readonly formulaId: string;
  readonly versionId: string;
  readonly revision: number;
  readonly editor: SheetEditor;
  /** A cell cannot be read; nothing is sent until it is corrected. */
  readonly isBroken: boolean;
  readonly isDraft: boolean;
  /** Another request of this page is under way; wait for it. */
  readonly isPaused: boolean;
}

export interface Autosave extends SaverState {
  readonly saver: SheetSaver;
}

/** Browsers send at most so much while a page goes. */
const MOST_LAST_BYTES = 60_000;

/** Saves the sheet as it is typed, while it is a draft. */
export function useAutosave({ formulaId, versionId, revision, editor, isBroken, isDraft, isPaused }: AutosaveOptions): Autosave {
  const { typed, replace, rebase } = editor;
  const [saver] = useState(
    () =>
      new SheetSaver(
        { typed, revision },
        {
          send: (sent) => sendSave(formulaId, versionId, sent),
          later: (milliseconds, call) => {
            const timer = setTimeout(call, milliseconds);
            return () => clearTimeout(timer);
          },
          newId: () => crypto.randomUUID(),
          keep: (kept) => (kept === null ? forgetTyping(versionId) : keepTyping(versionId, kept)),
          show: replace,
          rebase,
        },
      ),
  );
  const state = useSyncExternalStore(saver.subscribe, saver.now, saver.now);

  useEffect(() => {
    if (isDraft) saver.type(typed, isBroken);
  }, [saver, isDraft, typed, isBroken]);
  useEffect(() => saver.pause(isPaused), [saver, isPaused]);

  // A layout effect, so that on the way to another page it ends while the text is still there.
  useLayoutEffect(() => {
    if (!isDraft) return;
    saver.begin();
    const tryNow = () => saver.tryNow();
    const whenSeen = () => {
      if (document.visibilityState === "visible") saver.tryNow();
    };
    const leave = () =>
      saver.leave((sent) => {
        const body = saveBody(versionId, sent);
        if (body.toString().length > MOST_LAST_BYTES) return;
        void fetch(`/sheet/${formulaId}/save`, { method: "POST", body, keepalive: true }).catch(() => undefined);
      });
    const ask = (event: BeforeUnloadEvent) => {
      if (saver.isStuck()) event.preventDefault();
    };
    window.addEventListener("online", tryNow);
    window.addEventListener("focus", tryNow);
    document.addEventListener("visibilitychange", whenSeen);
    window.addEventListener("pagehide", leave);
    window.addEventListener("beforeunload", ask);
    return () => {
      window.removeEventListener("online", tryNow);
      window.removeEventListener("focus", tryNow);
      document.removeEventListener("visibilitychange", whenSeen);
      window.removeEventListener("pagehide", leave);
      window.removeEventListener("beforeunload", ask);
      leave();
      saver.end();
    };
  }, [saver, isDraft, formulaId, versionId]);

  return { ...state, saver };
}
