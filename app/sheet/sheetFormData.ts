import type { TypedLine, TypedSheet } from "./typed/typedSheet";

export interface FormBase {
  readonly versionId: string;
  readonly revision: number;
}

/** What a line's hidden field says: id, phase, material with its lots and their grams, and the certificate's strength as typed. */
export function lineFieldOf({ id, phase, materialId, assay, lots = [] }: TypedLine): string {
  const taken = lots.map(({ lotId, grams }) => `|${lotId}=${encodeURIComponent(grams)}`).join("");
  return `${id} ${phase} ${materialId}${taken} ${assay}`;
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
  const { aim } = typed;
  form.set("aimSchool", aim.school);
  if (aim.eyeArea) form.set("aimEyeArea", "on");
  form.set("aimLook", aim.look);
  form.set("aimLeftOn", aim.leftOn);
  form.set("aimForWhom", aim.forWhom);
  form.set("aimThickness", aim.thickness);
  form.set("aimWithout", aim.without);
  form.set("aimCloseTo", aim.closeTo);
  form.set("measuredPh", typed.measured.ph);
  form.set("measuredDensity", typed.measured.density);
  for (const phase of typed.phases) {
    form.append("phaseLetter", phase.letter);
    form.append("phaseTitle", phase.title);
    form.append("phaseTemperature", phase.temperature);
  }
  for (const line of typed.lines) {
    form.append("line", lineFieldOf(line));
    form.append("linePercent", line.percent);
  }
  if (typed.restLineId !== null) form.append("restLine", typed.restLineId);
  return form;
}
