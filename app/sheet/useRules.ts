import type { FormulaReading, Judgement } from "@tensidrum/core/assessment";
import { useEffect, useState } from "react";

type Rules = (reading: FormulaReading) => Judgement;

let loaded: Rules | null = null;

/**
 * The rules, which are fetched after the page stands; null until they are here. Where fetching fails it is tried again at
 * the next reading.
 */
export function useRules(reading: FormulaReading): Rules | null {
  const [rules, setRules] = useState<Rules | null>(() => loaded);
  useEffect(() => {
    if (rules !== null) return;
    let isHere = true;
    void import("./rules").then(
      ({ judgementWithCures }) => {
        loaded = judgementWithCures;
        if (isHere) setRules(() => judgementWithCures);
      },
      () => undefined,
    );
    return () => {
      isHere = false;
    };
  }, [rules, reading]);
  return rules;
}
