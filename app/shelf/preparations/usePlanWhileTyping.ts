import { useEffect, useRef, type FormEvent } from "react";
import { useSubmit } from "react-router";

const QUIET_MILLISECONDS = 250;

/** Plans anew shortly after the last key: the plan stands beside the form while one types. Without scripts a button does it. */
export function usePlanWhileTyping() {
  const submit = useSubmit();
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  useEffect(() => () => clearTimeout(timer.current), []);
  return (event: FormEvent<HTMLFormElement>): void => {
    const form = event.currentTarget;
    clearTimeout(timer.current);
    timer.current = setTimeout(() => void submit(form, { method: "get", replace: true, preventScrollReset: true }), QUIET_MILLISECONDS);
  };
}
