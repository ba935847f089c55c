import { type RefObject, useEffect } from "react";

interface SheetKeys {
  readonly undo: () => void;
  readonly redo: () => void;
  readonly addInput: RefObject<HTMLInputElement | null>;
}

function isTyping(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && target.matches("input:not([type=radio]), textarea, select, [contenteditable]");
}

/** Keys of the whole sheet: Ctrl Z and Ctrl Shift Z everywhere but in the note, n for a new line where nothing is typed. */
export function useSheetKeys({ undo, redo, addInput }: SheetKeys, isDraft: boolean): void {
  useEffect(() => {
    if (!isDraft) return;
    const onKey = (event: KeyboardEvent) => {
      const isCommand = event.ctrlKey || event.metaKey;
      if (isCommand && event.key.toLowerCase() === "z" && !(event.target instanceof HTMLTextAreaElement)) {
        event.preventDefault();
        if (event.shiftKey) redo();
        else undo();
      } else if (event.key === "n" && !isCommand && !event.altKey && !isTyping(event.target)) {
        event.preventDefault();
        addInput.current?.focus();
      }
    };
    document.addEventListener("keydown", onKey);
    return () => document.removeEventListener("keydown", onKey);
  }, [isDraft, undo, redo, addInput]);
}
