import { useRef } from "react";

/** The earlier value as long as the new one says the same, so that what shows it need not draw again. */
export function useUnchanged<Value>(value: Value): Value {
  const kept = useRef(value);
  if (kept.current !== value && JSON.stringify(kept.current) !== JSON.stringify(value)) kept.current = value;
  return kept.current;
}
