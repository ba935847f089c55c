/**
 * Gives the focus back to a control that was switched off while its form was sent: the browser drops it, and who works by
 * keys or listens to the page would have to find the place again. A key that is held down must not send the form once more, and
 * a part that leads the focus itself (data-own-focus) is left alone. Stays for as long as the page does.
 */
export function keepFocusAfterForms(): void {
  let last: HTMLElement | null = null;
  let around: readonly Element[] = [];
  let [isKeyHeld, isWaiting] = [false, false];
  const giveBack = (): void => {
    const isElsewhere = document.activeElement !== document.body;
    const again = isElsewhere || isKeyHeld || !isWaiting || last === null ? undefined : standingFor(last, around);
    again?.focus({ preventScroll: true });
    if (!isElsewhere && again === undefined) return;
    isWaiting = false;
    whenBack.disconnect();
  };
  const whenBack = new MutationObserver(giveBack);
  const setKeyHeld = (isHeld: boolean) => () => {
    isKeyHeld = isHeld;
    giveBack();
  };
  window.addEventListener("keydown", setKeyHeld(true), true);
  window.addEventListener("keyup", setKeyHeld(false), true);
  window.addEventListener("blur", setKeyHeld(false));
  document.addEventListener("focusin", ({ target }) => {
    if (target instanceof HTMLElement) [last, around] = [target, ancestorsOf(target)];
  });
  new MutationObserver(() => {
    const isDropped = document.activeElement === document.body && last?.matches(":disabled") === true;
    if (!isDropped || last?.closest("[data-own-focus]") !== null) return;
    isWaiting = true;
    whenBack.observe(document.body, { subtree: true, childList: true, attributeFilter: ["disabled"] });
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
