import {
  assessSums,
  bodyStrata,
  profileOf,
  profiles,
  settle,
  type Formula,
  type Profile,
  type Stratum,
  type Sums,
} from "@tensidrum/core/formula";
import type { Material } from "@tensidrum/core/library";
import type { Scale } from "@tensidrum/core/quantities";
import { useMemo } from "react";
import { formulaOfSheet } from "./draftContent";
import { readTyped, type FieldProblem } from "./typed/readTyped";
import type { TypedSheet } from "./typed/typedSheet";

export interface Readings {
  readonly formula: Formula;
  readonly sums: Sums;
  readonly profile: Profile;
  readonly strata: readonly Stratum[];
  readonly problems: readonly FieldProblem[];
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

/** The sums of what is typed, from the same core the server uses. */
export function useReadings(typed: TypedSheet, { byId, bySlug, scales, lastBatchGrams, stored }: Around): Readings {
  return useMemo(() => {
    const { sheet, problems } = readTyped(typed, lastBatchGrams);
    const formula = formulaOfSheet(sheet, { materials: byId, scales });
    const sums = stored ?? assessSums(formula, bySlug);
    const settled = settle(formula, bySlug).sheet;
    return {
      formula,
      sums,
      problems,
      profile: profileOf(sheet.profile) ?? (profiles[0] as Profile),
      strata: bodyStrata(settled.lines, sums.lines),
    };
  }, [typed, byId, bySlug, scales, lastBatchGrams, stored]);
}
