import type { Finding, NotJudged } from "@tensidrum/core/findings";
import { assess } from "@tensidrum/core/formula";
import { createContext, type ReactNode, useContext, useDeferredValue, useMemo, useRef } from "react";
import { useSheet } from "./SheetState";

export interface Judged {
  readonly findings: readonly Finding[];
  readonly notJudged: readonly NotJudged[];
}

const JudgedContext = createContext<Judged>({ findings: [], notJudged: [] });

/** What the rules say of the sheet round about. */
export function useJudged(): Judged {
  return useContext(JudgedContext);
}

/**
 * Judges what is typed once the cells are painted; typing never waits for it. Only parts that ask draw again, and only
 * when the rules say something else.
 */
export function JudgedSheet({ children }: { readonly children: ReactNode }) {
  const { readings, known, sheet } = useSheet();
  const formula = useDeferredValue(readings.formula);
  const { bySlug } = known.materials;
  const stored = sheet.storedAssessment;
  const latest = useMemo((): Judged => {
    const { findings, notJudged } = stored ?? assess(formula, bySlug);
    return { findings, notJudged };
  }, [stored, formula, bySlug]);
  return <JudgedContext.Provider value={useUnchanged(latest)}>{children}</JudgedContext.Provider>;
}

/** The earlier value as long as the new one says the same, so that what shows it need not draw again. */
function useUnchanged<Value>(value: Value): Value {
  const kept = useRef(value);
  if (kept.current !== value && JSON.stringify(kept.current) !== JSON.stringify(value)) kept.current = value;
  return kept.current;
}
