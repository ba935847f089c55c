import { readingOf, type Assessment, type FormulaReading, type Readings } from "@tensidrum/core/assessment";
import { bodyComposition, profileOf, profiles, type Formula, type Profile, type Layer } from "@tensidrum/core/formula";
import type { Material } from "@tensidrum/core/library";
import type { Scale } from "@tensidrum/core/quantities";
import { useMemo } from "react";
import { formulaOfSheet } from "./draftContent";
import { readTyped, type FieldProblem } from "./typed/readTyped";
import type { TypedSheet } from "./typed/typedSheet";

/** What is typed, read by the core. */
export interface SheetReadings {
  readonly formula: Formula;
  readonly reading: FormulaReading;
  /** What is shown: of a set version what was stored with it. */
  readonly shown: Readings;
  readonly profile: Profile;
  readonly layers: readonly Layer[];
  readonly problems: readonly FieldProblem[];
}

interface Around {
  readonly byId: ReadonlyMap<string, Material>;
  readonly bySlug: ReadonlyMap<string, Material>;
  readonly scales: readonly Scale[];
  /** Stands in for a batch that cannot be read just now. */
  readonly lastBatchGrams: number;
  /** The stored readings of a set version, which stand as they are. */
  readonly stored: Assessment | null;
}

/** Reads what is typed, with the same core the server uses. */
export function useReadings(typed: TypedSheet, { byId, bySlug, scales, lastBatchGrams, stored }: Around): SheetReadings {
  return useMemo(() => {
    const { sheet, problems } = readTyped(typed, lastBatchGrams);
    const formula = formulaOfSheet(sheet, { materials: byId, scales });
    const reading = readingOf(formula, bySlug);
    const shown = stored ?? reading.readings;
    return {
      formula,
      reading,
      shown,
      problems,
      profile: profileOf(sheet.profile) ?? (profiles[0] as Profile),
      layers: bodyComposition(reading.read.sheet.lines, shown.lines),
    };
  }, [typed, byId, bySlug, scales, lastBatchGrams, stored]);
}
