import { useEffect, type RefObject } from "react";

/** The arrows go from one big button to the next, so that arrows and the space bar are enough. */
export function useArrows(column: RefObject<HTMLElement | null>): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.ctrlKey || event.metaKey || event.altKey || document.querySelector("[role=dialog]") !== null) return;
      const step = event.key === "ArrowRight" ? 1 : event.key === "ArrowLeft" ? -1 : 0;
      const target = event.target;
      // In a field with text the arrows move the caret.
      if (step === 0 || (target instanceof HTMLInputElement && target.type !== "checkbox" && target.value !== "")) return;
      if (target instanceof HTMLTextAreaElement || target instanceof HTMLSelectElement) return;
      const buttons = [...(column.current?.querySelectorAll<HTMLElement>("[data-big]:not(:disabled)") ?? [])].filter(
        (button) => button.getClientRects().length > 0,
      );
      if (buttons.length === 0) return;
      event.preventDefault();
      const at = buttons.indexOf(document.activeElement as HTMLElement);
      const next = at === -1 ? (step === 1 ? 0 : buttons.length - 1) : (at + step + buttons.length) % buttons.length;
      buttons[next]?.focus();
    };
    document.addEventListener("keydown", onKey);
    return () => document.removeEventListener("keydown", onKey);
  }, [column]);
}
