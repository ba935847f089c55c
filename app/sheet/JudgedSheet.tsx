import type { Finding, NotJudged } from "@tensidrum/core/findings";
import { assess, type Assessment } from "@tensidrum/core/formula";
import { createContext, type ReactNode, useContext, useDeferredValue, useMemo, useRef } from "react";
import { useSheet } from "./SheetState";
import { useUnchanged } from "./useUnchanged";

/** What the last change of the aim did: findings it brought up and findings it settled. */
export interface AimEffect {
  readonly come: readonly string[];
  readonly gone: readonly string[];
}

export interface Judged {
  readonly findings: readonly Finding[];
  readonly notJudged: readonly NotJudged[];
  readonly aimEffect: AimEffect | null;
}

const JudgedContext = createContext<Judged>({ findings: [], notJudged: [], aimEffect: null });
const ReadContext = createContext<Assessment | null>(null);

/** What the rules say of the sheet round about. */
export function useJudged(): Judged {
  return useContext(JudgedContext);
}

/** Every reading of the sheet round about. */
export function useAssessment(): Assessment {
  const assessment = useContext(ReadContext);
  if (assessment === null) throw new Error("There is no judged sheet round about");
  return assessment;
}

/**
 * Reads and judges what is typed once the cells are painted; typing never waits for it. Only parts that ask draw again,
 * those of the rules only when the rules say something else.
 */
export function JudgedSheet({ children }: { readonly children: ReactNode }) {
  const { readings, known, sheet } = useSheet();
  const formula = useDeferredValue(readings.formula);
  const { bySlug } = known.materials;
  const stored = sheet.storedAssessment;
  const assessment = useMemo(() => stored ?? assess(formula, bySlug), [stored, formula, bySlug]);
  const aimEffect = useAimEffect(
    JSON.stringify([formula.profile, formula.school, formula.eyeArea, formula.wantsClear, formula.leftOn, formula.aim]),
    assessment.findings,
  );
  const judged = useUnchanged<Judged>({ findings: assessment.findings, notJudged: assessment.notJudged, aimEffect });
  return (
    <ReadContext.Provider value={assessment}>
      <JudgedContext.Provider value={judged}>{children}</JudgedContext.Provider>
    </ReadContext.Provider>
  );
}

/** Compares the findings before and after a change of the aim; the next change of anything else ends it. */
function useAimEffect(aim: string, findings: readonly Finding[]): AimEffect | null {
  const last = useRef<{ aim: string; findings: readonly Finding[]; effect: AimEffect | null }>({ aim, findings, effect: null });
  if (last.current.aim !== aim) {
    const before = new Set(last.current.findings.map(({ what }) => what));
    const after = new Set(findings.map(({ what }) => what));
    last.current = {
      aim,
      findings,
      effect: { come: [...after].filter((what) => !before.has(what)), gone: [...before].filter((what) => !after.has(what)) },
    };
  } else if (last.current.findings !== findings) {
    last.current = { aim, findings, effect: null };
  }
  return last.current.effect;
}
