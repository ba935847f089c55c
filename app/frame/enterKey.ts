import { useEffect } from "react";

/** What of a field and its form decides on the Enter key. */
export interface EnterIn {
  /** The form asks a question and changes nothing. */
  readonly isAsking: boolean;
  /** The form says that Enter sends it: one thing is entered, as a weight at the bench. */
  readonly sends: boolean;
  readonly fields: number;
  readonly buttons: number;
}

/**
 * Enter in a field commits that field. It sends a form only where the form is that one field with its one button, where it
 * only asks, or where it says so; of several buttons it presses none.
 */
export function enterSends({ isAsking, sends, fields, buttons }: EnterIn): boolean {
  return isAsking || sends || (fields === 1 && buttons === 1);
}

const FIELDS = "input:not([type=hidden]):not([type=submit]):not([type=button]):not([type=file]), select, textarea";
const TYPED = "input:not([type=hidden]):not([type=submit]):not([type=button]):not([type=file])";
const BUTTONS = "button:not([type=button]):not([type=reset]):not([data-default]), input[type=submit]";

/** Keeps Enter from pressing a button of a form that has several things in it; the caret goes to the next field. */
export function useEnterKey(): void {
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent): void => {
      const field = event.target;
      const isPlain = event.key === "Enter" && !event.defaultPrevented && !event.isComposing && !event.ctrlKey && !event.metaKey;
      if (!isPlain || !(field instanceof HTMLInputElement) || !field.matches(TYPED) || field.form === null) return;
      const all = [...field.form.elements].filter((element): element is HTMLElement => element instanceof HTMLElement);
      const fields = all.filter((element) => element.matches(FIELDS) && isReachable(element));
      const asked = {
        isAsking: field.form.method === "get",
        sends: field.form.dataset.enter === "send",
        fields: fields.length,
        buttons: all.filter((element) => element.matches(BUTTONS)).length,
      };
      if (enterSends(asked)) return;
      event.preventDefault();
      const next = fields[fields.indexOf(field) + 1];
      field.blur();
      (next ?? field).focus();
    };
    // Behind the listeners of the pages, so that a field with a meaning of its own for Enter keeps it.
    window.addEventListener("keydown", onKeyDown);
    return () => window.removeEventListener("keydown", onKeyDown);
  }, []);
}

function isReachable(element: HTMLElement): boolean {
  return !element.matches(":disabled") && element.tabIndex >= 0 && element.checkVisibility();
}
