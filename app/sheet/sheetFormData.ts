import type { TypedLine, TypedPart, TypedSheet } from "./typed/typedSheet";

export interface FormBase {
  readonly versionId: string;
  readonly revision: number;
}

type Field = readonly [name: string, value: string];

/** What of a line is not in its cells: its phase, its material, the certificate's strength, its recipe's words, and its lots. */
export function lineFields({ id, phase, materialId, assay, asWritten = "", lots = [] }: TypedLine): readonly Field[] {
  const line = `lines.${id}`;
  const taken = lots.map(({ lotId, grams }) => [`${line}.lots.${lotId}`, grams] as const);
  const written = asWritten === "" ? [] : [[`${line}.asWritten`, asWritten] as const];
  return [[`${line}.phase`, phase], [`${line}.materialId`, materialId], [`${line}.assay`, assay], ...written, ...taken];
}

function partFields(letter: string, part: TypedPart): readonly Field[] {
  return [
    [`phases.${letter}.isPart`, "on"],
    ...Object.entries(part).map(([key, value]) => [`phases.${letter}.${key}`, String(value)] as const),
  ];
}

/** The sheet as the form would send it: field by field as the page without scripts does. */
export function sheetFormData(typed: TypedSheet, base: FormBase, intent: string): FormData {
  const { aim, measured } = typed;
  const fields: readonly Field[] = [
    ["intent", intent],
    ["versionId", base.versionId],
    ["revision", String(base.revision)],
    ["name", typed.name],
    ["profile", typed.profile],
    ["batch", typed.batch],
    ...Object.entries({ ...aim, eyeArea: aim.eyeArea ? "on" : "" }).map(([key, value]) => [`aim.${key}`, value] as const),
    ...Object.entries(measured).map(([key, value]) => [`measured.${key}`, String(value)] as const),
    ...typed.phases.flatMap(({ letter, title, temperature, part }) => [
      [`phases.${letter}.title`, title] as const,
      [`phases.${letter}.temperature`, temperature] as const,
      ...(part === undefined ? [] : partFields(letter, part)),
    ]),
    ...typed.lines.flatMap((line) => [...lineFields(line), [`lines.${line.id}.percent`, line.percent] as const]),
    ["restLineId", typed.restLineId ?? ""],
    ["method", typed.method ?? ""],
  ];
  const form = new FormData();
  for (const [name, value] of fields) form.append(name, value);
  return form;
}
