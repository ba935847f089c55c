import { readingOf, type Assessment, type FormulaReading, type Readings } from "@tensidrum/core/assessment";
import { bodyComposition, profileOf, profiles, type Formula, type Profile, type Layer } from "@tensidrum/core/formula";
import type { Material } from "@tensidrum/core/library";
import type { Scale } from "@tensidrum/core/quantities";
import { useMemo } from "react";
import { formulaOfSheet } from "./draftContent";
import { readTyped } from "./typed/readTyped";
import type { FieldProblem } from "../frame/formAnswer";
import type { TypedSheet } from "./typed/typedSheet";

/** What is typed, read by the core. */
export interface SheetReadings {
  readonly formula: Formula;
  readonly reading: FormulaReading;
  /** What is shown: of a final version what was stored with it. */
  readonly shown: Readings;
  readonly profile: Profile;
  readonly layers: readonly Layer[];
  readonly problems: readonly FieldProblem[];
}

interface Around {
  readonly byId: ReadonlyMap<string, Material>;
  readonly bySlug: ReadonlyMap<string, Material>;
  readonly scales: readonly Scale[];
  readonly saltPeaks: Readonly<Record<string, number>>;
  /** Stands in for a batch that cannot be read just now. */
  readonly lastBatchGrams: number;
  /** The stored readings of a final version, which stand as they are. */
  readonly stored: Assessment | null;
}

/** Stored readings; those kept before there were reasons to put into words take them from today's. */
function withReasons(stored: Assessment, today: Readings): Readings {
  if ((stored as Partial<Assessment>).preservationChecks !== undefined) return stored;
  const { preservationChecks, thickening, clarity, saltPeakPercent } = today;
  return { ...stored, preservationChecks, thickening, clarity, saltPeakPercent };
}

/** Reads what is typed, with the same core the server uses. */
export function useReadings(typed: TypedSheet, { byId, bySlug, scales, saltPeaks, lastBatchGrams, stored }: Around): SheetReadings {
  return useMemo(() => {
    const { sheet, problems } = readTyped(typed, lastBatchGrams);
    const formula = formulaOfSheet(sheet, { materials: byId, scales });
    const reading = readingOf(formula, bySlug, { saltPeaks });
    const shown = stored === null ? reading.readings : withReasons(stored, reading.readings);
    return {
      formula,
      reading,
      shown,
      problems,
      profile: profileOf(sheet.profile) ?? (profiles[0] as Profile),
      layers: bodyComposition(reading.read.sheet.lines, shown.lines),
    };
  }, [typed, byId, bySlug, scales, saltPeaks, lastBatchGrams, stored]);
}
