/** The button that was pressed is no longer there once the page is drawn again: Tab goes on from a heading. */
export function focusOn(id: string): void {
  requestAnimationFrame(() => document.getElementById(id)?.focus());
}
