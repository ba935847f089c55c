/** What was pressed is gone once the page is drawn again: Tab goes on from a heading. */
export function focusOn(id: string): void {
  requestAnimationFrame(() => document.getElementById(id)?.focus());
}
