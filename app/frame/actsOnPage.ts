/** Something that can be done on this page: a button, link or field that says so by `data-act`. */
export interface Act {
  readonly words: string;
  readonly key: string;
  readonly element: HTMLElement;
}

/** Where a browser remembers that single keys do nothing. */
export const SINGLE_KEYS_OFF = "tensidrum.single-keys-off";

/** Whether a key belongs to the field it is pressed in. */
export function isTyping(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && target.matches("input:not([type=radio], [type=checkbox]), textarea, select, [contenteditable]");
}

/** What can be done on the page just now; of several that say the same, the first. */
export function actsOnPage(): readonly Act[] {
  const acts = new Map<string, Act>();
  for (const element of document.querySelectorAll<HTMLElement>("[data-act]")) {
    const words = element.dataset.act ?? "";
    if (acts.has(words) || element.getClientRects().length === 0 || element.hasAttribute("disabled")) continue;
    acts.set(words, { words, key: element.dataset.key ?? "", element });
  }
  return [...acts.values()];
}

/** Presses the button or link, or moves the caret into the field. */
export function carryOut({ element }: Act): void {
  element.scrollIntoView({ block: "nearest" });
  if (element.matches("input, textarea, select")) element.focus();
  else element.click();
}
