/**
 * Gives the focus back to a control that was switched off while its form was sent: the browser drops it, and who works by
 * keys or listens to the page would have to find the place again. Stays for as long as the page does.
 */
export function keepFocus(): void {
  let last: HTMLElement | null = null;
  let around: readonly Element[] = [];
  document.addEventListener("focusin", ({ target }) => {
    if (target instanceof HTMLElement) [last, around] = [target, ancestorsOf(target)];
  });
  const whenBack = new MutationObserver(() => {
    const isElsewhere = document.activeElement !== document.body;
    const again = isElsewhere || last === null ? undefined : standingFor(last, around);
    again?.focus({ preventScroll: true });
    if (isElsewhere || again !== undefined) whenBack.disconnect();
  });
  new MutationObserver(() => {
    const isDropped = document.activeElement === document.body && last?.matches(":disabled") === true;
    if (isDropped) whenBack.observe(document.body, { subtree: true, childList: true, attributeFilter: ["disabled"] });
  }).observe(document.body, { subtree: true, attributeFilter: ["disabled"] });
}

/** What surrounds an element on its page, from the inside out. */
function ancestorsOf(element: Element): readonly Element[] {
  const parent = element.parentElement;
  return parent === null || parent.matches("main") ? [] : [parent, ...ancestorsOf(parent)];
}

/** The control itself when it is on again, or the one that stands where it stood: its form may have been made anew. */
function standingFor(control: HTMLElement, around: readonly Element[]): HTMLElement | undefined {
  if (control.isConnected) return control.matches(":disabled") ? undefined : control;
  const home = around.find(({ isConnected }) => isConnected);
  const alike = [...(home?.querySelectorAll<HTMLElement>(control.tagName) ?? [])].filter(
    (other) =>
      other.textContent === control.textContent && ["name", "value"].every((of) => other.getAttribute(of) === control.getAttribute(of)),
  );
  return alike.length === 1 && alike[0]?.matches(":disabled") === false ? alike[0] : undefined;
}
