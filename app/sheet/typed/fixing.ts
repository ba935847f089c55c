import { applyChange, type Changeable, type FormulaChange } from "@tensidrum/core/formula";
import { percentText, readMassGrams, readNumber, readPercent, Refusal, writtenShort } from "@tensidrum/core/quantities";
import { withRestLine } from "./editing";
import type { TypedLine, TypedSheet } from "./typedSheet";

/** A line a change adds, with the identifiers only the page knows. */
export interface NewLine {
  readonly id: string;
  readonly materialId: string;
}

/**
 * The sheet with a cure applied: what the change leaves alone stays as it was typed. `added` is needed only where a line
 * comes in. A sheet that has moved on from what the change names stays as it is.
 */
export function withChange(sheet: TypedSheet, change: FormulaChange, added: NewLine | null): TypedSheet {
  if (change.kind === "rest") return sheet.lines.some(({ id }) => id === change.line) ? withRestLine(sheet, change.line) : sheet;
  if (change.kind === "add" && added === null) return sheet;
  const before = changeableOf(sheet);
  const after = applied(before, change);
  if (after === null) return sheet;
  const lines = after.lines.map((line): TypedLine => {
    const typed = sheet.lines.find(({ id }) => id === line.id);
    const former = before.lines.find(({ id }) => id === line.id);
    const percent = line.percent === former?.percent ? (typed?.percent ?? "") : percentText(line.percent ?? 0);
    if (typed !== undefined) return { ...typed, phase: line.phase, percent };
    return { id: added?.id ?? line.id, phase: line.phase, materialId: added?.materialId ?? line.material, percent, assay: "" };
  });
  const phases = sheet.phases.map((phase, at) => {
    const temperature = after.phases[at]?.temperatureC;
    return temperature === before.phases[at]?.temperatureC ? phase : { ...phase, temperature: writtenShort(temperature ?? 0, 2) };
  });
  const batch = after.batchGrams === before.batchGrams ? sheet.batch : writtenShort(after.batchGrams, 6);
  return { ...sheet, lines, phases, batch };
}

function applied(sheet: Changeable, change: FormulaChange): Changeable | null {
  try {
    return applyChange(sheet, change);
  } catch (error) {
    if (error instanceof Refusal) return null;
    throw error;
  }
}

/** What a change looks at, of the cells as far as they can be read. */
function changeableOf(sheet: TypedSheet): Changeable {
  return {
    batchGrams: numberOr0(readMassGrams(sheet.batch)),
    phases: sheet.phases.map(({ letter, temperature }) => {
      const read = readNumber(temperature);
      return { id: letter, ...(read.ok ? { temperatureC: read.value } : {}) };
    }),
    lines: sheet.lines.map(({ id, phase, materialId, percent }) => {
      const line = { id, phase, material: materialId };
      return id === sheet.restLineId ? { ...line, qs: true as const } : { ...line, percent: numberOr0(readPercent(percent)) };
    }),
  };
}

function numberOr0(read: ReturnType<typeof readNumber>): number {
  return read.ok ? read.value : 0;
}
