import type { FormulaChange } from "@tensidrum/core/formula";
import { percentText, writtenShort } from "@tensidrum/core/quantities";
import { withLineAt, withLineInPhase, withPercent, withPhaseTemperature, withRestLine } from "./editing";
import type { TypedLine, TypedSheet } from "./typedSheet";

/** A line a change adds, with the identifiers only the page knows. */
export interface NewLine {
  readonly id: string;
  readonly materialId: string;
}

/** The sheet with a cure applied. `added` is needed only where a line comes in. */
export function withChange(sheet: TypedSheet, change: FormulaChange, added: NewLine | null): TypedSheet {
  switch (change.kind) {
    case "percents":
      return change.percents.reduce((changed, { line, percent }) => withPercent(changed, line, percentText(percent)), sheet);
    case "add":
      return added === null ? sheet : withLineBeside(sheet, change, added);
    case "rest":
      return withRestLine(sheet, change.line);
    case "batch":
      return { ...sheet, batch: writtenShort(change.batchGrams, 6) };
    case "temperature":
      return change.phases.reduce((changed, phase) => withPhaseTemperature(changed, phase, writtenShort(change.temperatureC, 2)), sheet);
    case "first":
      return withLineFirst(sheet, change.line);
  }
}

function withLineBeside(sheet: TypedSheet, change: Extract<FormulaChange, { kind: "add" }>, { id, materialId }: NewLine): TypedSheet {
  const beside = sheet.lines.find((line) => line.id === change.beside);
  if (beside === undefined) return sheet;
  const line: TypedLine = { id, phase: beside.phase, materialId, percent: percentText(change.percent), assay: "" };
  return { ...sheet, lines: sheet.lines.flatMap((one) => (one.id === beside.id ? [one, line] : [one])) };
}

function withLineFirst(sheet: TypedSheet, lineId: string): TypedSheet {
  const first = sheet.lines[0];
  if (first === undefined || first.id === lineId) return sheet;
  const here = withLineInPhase(sheet, lineId, first.phase);
  return withLineAt(here, lineId, first.id);
}
