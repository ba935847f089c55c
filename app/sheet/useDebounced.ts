import { useEffect, useState } from "react";

/** A value once it has stood still for so many milliseconds; the first one at once. */
export function useDebounced<Value>(value: Value, milliseconds: number): Value {
  const [resolved, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(() => value), milliseconds);
    return () => clearTimeout(timer);
  }, [value, milliseconds]);
  return resolved;
}
