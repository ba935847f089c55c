import { assessSums, bodyStrata, profileOf, profiles, settle, type Profile, type Stratum, type Sums } from "@tensidrum/core/formula";
import type { Finding, NotJudged } from "@tensidrum/core/findings";
import type { Material } from "@tensidrum/core/library";
import type { Scale } from "@tensidrum/core/quantities";
import { useMemo, useRef } from "react";
import { formulaOfSheet } from "./draftContent";
import { readTyped, type FieldProblem } from "./typed/readTyped";
import type { TypedSheet } from "./typed/typedSheet";

export interface Readings {
  readonly assessment: Sums;
  readonly profile: Profile;
  readonly strata: readonly Stratum[];
  readonly problems: readonly FieldProblem[];
  readonly findings: readonly Finding[];
  readonly notJudged: readonly NotJudged[];
}

interface Around {
  readonly byId: ReadonlyMap<string, Material>;
  readonly bySlug: ReadonlyMap<string, Material>;
  readonly scales: readonly Scale[];
  /** Stands in for a batch that cannot be read just now. */
  readonly lastBatchGrams: number;
  /** The stored readings of a set version, which stand as they are. */
  readonly stored: Sums | null;
}

/** All readings of what is typed, from the same core the server uses. */
export function useReadings(typed: TypedSheet, { byId, bySlug, scales, lastBatchGrams, stored }: Around): Readings {
  const readings = useMemo(() => {
    const { sheet, problems } = readTyped(typed, lastBatchGrams);
    const formula = formulaOfSheet(sheet, typed.phases, { materials: byId, scales });
    const assessment = stored ?? assessSums(formula, bySlug);
    const settled = settle(formula, bySlug).sheet;
    return {
      assessment,
      problems,
      profile: profileOf(sheet.profile) ?? (profiles[0] as Profile),
      strata: bodyStrata(settled.lines, assessment.lines),
    };
  }, [typed, byId, bySlug, scales, lastBatchGrams, stored]);
  return { ...readings, findings: useUnchanged(readings.assessment.findings), notJudged: useUnchanged(readings.assessment.notJudged) };
}

/** The earlier value as long as the new one says the same, so that what shows it need not draw again. */
function useUnchanged<Value>(value: Value): Value {
  const kept = useRef(value);
  if (kept.current !== value && JSON.stringify(kept.current) !== JSON.stringify(value)) kept.current = value;
  return kept.current;
}
