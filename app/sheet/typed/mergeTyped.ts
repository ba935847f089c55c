import { type CellKey, cellsOf, cellText, saysTheSame, withCellFrom } from "./cells";
import { inLetterOrder, type TypedSheet } from "./typedSheet";

export interface Merged {
  readonly sheet: TypedSheet;
  /** Cells that were changed here and there to something else; in `sheet` they stand as here. */
  readonly conflicts: readonly CellKey[];
}

/**
 * Brings together what was changed here and elsewhere since both began from `base`, cell by cell: what only one of them
 * changed is taken from it, what both changed to the same is no question, and only what both changed differently is one.
 * A line deleted on one side and changed on the other is such a question too.
 */
export function mergeTyped(base: TypedSheet, mine: TypedSheet, theirs: TypedSheet): Merged {
  const conflicts: CellKey[] = [];
  let sheet = mine;
  for (const key of cellsOf(base, mine, theirs)) {
    const [before, here, there] = [cellText(base, key), cellText(mine, key), cellText(theirs, key)];
    // What is in a line or phase that is only on one side is told by whether it is there.
    if (saysTheSame(key, here, there) || (isPart(key) && (here === null || there === null))) continue;
    if (key === "order") {
      if (isMoved(base, theirs) && !isMoved(base, mine)) sheet = withCellFrom(sheet, theirs, key);
    } else if (saysTheSame(key, there, before)) {
      if (here === null && isChangedInside(key, base, theirs)) conflicts.push(key);
    } else if (!saysTheSame(key, here, before) || (there === null && isChangedInside(key, base, mine))) {
      conflicts.push(key);
    } else sheet = withCellFrom(sheet, theirs, key);
  }
  return { sheet: whole(sheet), conflicts };
}

/** A cell inside a line or a phase. */
function isPart(key: CellKey): boolean {
  return /^(?:line|phase):[^:]+:/.test(key);
}

/** Whether lines that both sheets have stand in another order. */
function isMoved(base: TypedSheet, sheet: TypedSheet): boolean {
  const both = new Set(sheet.lines.map(({ id }) => id).filter((id) => base.lines.some((line) => line.id === id)));
  const order = ({ lines }: TypedSheet) =>
    lines
      .map(({ id }) => id)
      .filter((id) => both.has(id))
      .join();
  return order(sheet) !== order(base);
}

/** Whether something in a line or phase was changed. */
function isChangedInside(key: CellKey, base: TypedSheet, sheet: TypedSheet): boolean {
  return cellsOf(base, sheet).some((part) => part.startsWith(`${key}:`) && !saysTheSame(part, cellText(base, part), cellText(sheet, part)));
}

/** Every line has its phase, and the line that makes up 100 % is there. */
function whole(sheet: TypedSheet): TypedSheet {
  const letters = new Set(sheet.phases.map(({ letter }) => letter));
  const missing = [...new Set(sheet.lines.map(({ phase }) => phase))].filter((letter) => !letters.has(letter));
  const restLineId = sheet.lines.some(({ id }) => id === sheet.restLineId) ? sheet.restLineId : null;
  if (missing.length === 0 && restLineId === sheet.restLineId) return sheet;
  const phases = [...sheet.phases, ...missing.map((letter) => ({ letter, title: "", temperature: "" }))];
  return { ...sheet, restLineId, phases: inLetterOrder(phases) };
}
