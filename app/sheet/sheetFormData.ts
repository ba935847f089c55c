import type { TypedSheet } from "./typed/typedSheet";

export interface FormBase {
  readonly versionId: string;
  readonly revision: number;
}

/** The sheet as the form would send it: field by field as the page without scripts does. */
export function sheetFormData(typed: TypedSheet, base: FormBase, intent: string): FormData {
  const form = new FormData();
  form.set("intent", intent);
  form.set("versionId", base.versionId);
  form.set("revision", String(base.revision));
  form.set("name", typed.name);
  form.set("profile", typed.profile);
  form.set("batch", typed.batch);
  for (const phase of typed.phases) {
    form.append("phaseLetter", phase.letter);
    form.append("phaseTitle", phase.title);
  }
  for (const line of typed.lines) {
    form.append("lineId", line.id);
    form.append("linePhase", line.phase);
    form.append("lineMaterial", line.materialId);
    form.append("linePercent", line.percent);
    form.append("lineAssay", line.assay);
  }
  if (typed.restLineId !== null) form.append("restLine", typed.restLineId);
  return form;
}
