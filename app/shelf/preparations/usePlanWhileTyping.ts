import { useEffect, useRef, useState, type FormEvent } from "react";
import { useSubmit } from "react-router";

const QUIET_MILLISECONDS = 250;

/**
 * Plans anew shortly after the last key: the plan stands beside the form while one types. Until then it is behind what is
 * typed, and nothing must be made by it. Without scripts a button plans.
 */
export function usePlanWhileTyping() {
  const submit = useSubmit();
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  const [isBehind, setBehind] = useState(false);
  useEffect(() => () => clearTimeout(timer.current), []);
  const onInput = (event: FormEvent<HTMLFormElement>): void => {
    const form = event.currentTarget;
    clearTimeout(timer.current);
    setBehind(true);
    timer.current = setTimeout(() => {
      const asked = timer.current;
      void submit(form, { method: "get", replace: true, preventScrollReset: true }).finally(() => {
        if (timer.current === asked) setBehind(false);
      });
    }, QUIET_MILLISECONDS);
  };
  return { onInput, isBehind };
}
