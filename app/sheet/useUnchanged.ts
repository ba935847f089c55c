import { useRef } from "react";

/** The earlier value as long as the new one says the same, so that what shows it need not draw again. */
export function useUnchanged<Value>(value: Value): Value {
  const kept = useRef<{ readonly value: Value; readonly text: string | null }>({ value, text: null });
  if (kept.current.value !== value) {
    const before = kept.current.text ?? JSON.stringify(kept.current.value);
    const text = JSON.stringify(value);
    kept.current = { value: text === before ? kept.current.value : value, text };
  }
  return kept.current.value;
}
