import { draftPhase, formulaOfDraft, type Formula } from "@tensidrum/core/formula";
import type { Material } from "@tensidrum/core/library";
import type { Scale } from "@tensidrum/core/quantities";
import type { ReadSheet } from "./typed/readTyped";

/** The formula a read sheet stands for. Lines whose material is not known are left out. */
export function formulaOfSheet(
  sheet: ReadSheet,
  around: { readonly materials: ReadonlyMap<string, Material>; readonly scales: readonly Scale[] },
): Formula {
  return formulaOfDraft({
    name: sheet.name,
    profile: sheet.profile,
    batchGrams: sheet.batchGrams,
    scales: around.scales,
    aim: sheet.aim,
    measured: sheet.measured,
    method: sheet.method,
    phases: sheet.phases.map(draftPhase),
    lines: sheet.lines.flatMap(({ materialId, ...line }) => {
      const material = around.materials.get(materialId);
      return material === undefined ? [] : [{ ...line, material: material.slug }];
    }),
  });
}
