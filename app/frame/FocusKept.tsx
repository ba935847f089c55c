import { useEffect, useRef } from "react";
import { useFetchers, useNavigation } from "react-router";

/**
 * Gives the focus back to a control that was switched off while its form was sent: the browser drops it, and who works by
 * keys or listens to the page would have to find the place again.
 */
export function FocusKept(): null {
  const sending = [useNavigation(), ...useFetchers()].some(({ state }) => state !== "idle");
  const last = useRef<EventTarget | null>(null);
  useEffect(() => {
    const remember = ({ type, target }: FocusEvent): void => {
      if (type === "focusin") last.current = target;
      else if (target instanceof Element && !target.matches(":disabled")) last.current = null;
    };
    document.addEventListener("focusin", remember);
    document.addEventListener("focusout", remember);
    return () => {
      document.removeEventListener("focusin", remember);
      document.removeEventListener("focusout", remember);
    };
  }, []);
  useEffect(() => {
    if (!sending && document.activeElement === document.body && last.current instanceof HTMLElement)
      last.current.focus({ preventScroll: true });
  }, [sending]);
  return null;
}
