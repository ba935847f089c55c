import { Refusal } from "../../quantities/refusal.ts";
import type { Formula, FormulaLine } from "../types.ts";

/** A change of a formula, as data: what a finding offers and the sheet applies. */
export type FormulaChange =
  /** New shares of lines that have one, % w/w. */
  | { readonly kind: "percents"; readonly percents: readonly { readonly line: string; readonly percent: number }[] }
  /** A new line in the phase of another one. */
  | { readonly kind: "add"; readonly material: string; readonly percent: number; readonly beside: string }
  /** A line that is q.s. from now on. */
  | { readonly kind: "rest"; readonly line: string }
  | { readonly kind: "batch"; readonly batchGrams: number }
  | { readonly kind: "temperature"; readonly phases: readonly string[]; readonly temperatureC: number }
  /** A line goes before all others, in the phase that is handled first. */
  | { readonly kind: "first"; readonly line: string };

/** What a change can look at and write; a formula, or a sheet that is being typed. */
export type Changeable = Pick<Formula, "lines" | "splits" | "phases" | "batchGrams">;

/**
 * Applies a change and returns the new formula; what it does not name stays.
 * @throws Refusal when a line or phase it names is not there.
 */
export function applyChange<Sheet extends Changeable>(sheet: Sheet, change: FormulaChange): Sheet {
  switch (change.kind) {
    case "percents":
      return withPercents(sheet, change.percents);
    case "add": {
      const beside = lineAt(sheet, change.beside);
      const { material, percent } = change;
      const added: FormulaLine = { id: freeId(sheet, material), phase: beside.phase, material, percent };
      return { ...sheet, lines: sheet.lines.flatMap((line) => (line.id === beside.id ? [line, added] : [line])) };
    }
    case "rest": {
      const { percent: _, ...line } = lineAt(sheet, change.line);
      const rest: FormulaLine = { ...line, qs: true };
      return { ...sheet, lines: sheet.lines.map((each) => (each.id === line.id ? rest : each)) };
    }
    case "batch":
      return { ...sheet, batchGrams: change.batchGrams };
    case "temperature": {
      const { phases: wanted, temperatureC } = change;
      if (!wanted.every((letter) => sheet.phases.some(({ id }) => id === letter))) throw gone();
      return { ...sheet, phases: sheet.phases.map((phase) => (wanted.includes(phase.id) ? { ...phase, temperatureC } : phase)) };
    }
    case "first": {
      const moved = lineAt(sheet, change.line);
      const others = sheet.lines.filter(({ id }) => id !== moved.id);
      const used = new Set(sheet.lines.map(({ phase }) => phase));
      const earliest = sheet.phases.find(({ id }) => used.has(id))?.id ?? moved.phase;
      return { ...sheet, lines: [{ ...moved, phase: earliest }, ...others] };
    }
  }
}

function withPercents<Sheet extends Changeable>(
  sheet: Sheet,
  percents: readonly { readonly line: string; readonly percent: number }[],
): Sheet {
  const wanted = new Map(percents.map(({ line, percent }) => [line, percent]));
  const ids = new Set([...sheet.lines, ...(sheet.splits ?? []).flatMap(({ lines }) => lines)].map(({ id }) => id));
  if (percents.some(({ line }) => !ids.has(line))) throw gone();
  const changed = <Line extends FormulaLine>(line: Line): Line => {
    const percent = wanted.get(line.id);
    return percent === undefined || line.qs === true ? line : { ...line, percent };
  };
  const lines = sheet.lines.map(changed);
  if (sheet.splits === undefined) return { ...sheet, lines };
  return { ...sheet, lines, splits: sheet.splits.map((split) => ({ ...split, lines: split.lines.map(changed) })) };
}

function lineAt(sheet: Changeable, id: string): FormulaLine {
  const line = sheet.lines.find((one) => one.id === id);
  if (line === undefined) throw gone();
  return line;
}

function gone(): Refusal {
  return new Refusal("not-found", "What this would change is no longer on the sheet.", "Look at the findings again.");
}

function freeId(sheet: Changeable, wanted: string): string {
  const taken = new Set([...sheet.lines, ...(sheet.splits ?? []).flatMap(({ lines }) => lines)].map(({ id }) => id));
  let id = wanted;
  for (let number = 2; taken.has(id); number += 1) id = `${wanted}-${number}`;
  return id;
}
