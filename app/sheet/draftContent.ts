import { formulaOfDraft, type Formula } from "@tensidrum/core/formula";
import type { Material } from "@tensidrum/core/library";
import type { Scale } from "@tensidrum/core/quantities";
import type { ReadSheet } from "./typed/readTyped";
import type { TypedPhase } from "./typed/typedSheet";

/** The formula a read sheet stands for. Lines whose material is not known are left out. */
export function formulaOfSheet(
  sheet: ReadSheet,
  phases: readonly TypedPhase[],
  around: { readonly materials: ReadonlyMap<string, Material>; readonly scales: readonly Scale[] },
): Formula {
  return formulaOfDraft({
    name: sheet.name,
    profile: sheet.profile,
    batchGrams: sheet.batchGrams,
    scales: around.scales,
    phases: phases.map(({ letter, title }) => ({ id: letter, title })),
    lines: sheet.lines.flatMap(({ materialId, ...line }) => {
      const material = around.materials.get(materialId);
      return material === undefined ? [] : [{ ...line, material: material.slug }];
    }),
  });
}
