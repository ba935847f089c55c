/** A column of things one owns: what it is called on the screen and to a screen reader. */
export interface RowColumn {
  readonly field: string;
  readonly head: string;
  readonly label: string;
  readonly isNumber: boolean;
}

/** A row as typed. */
export interface TypedRow {
  readonly id: string;
  readonly cells: Readonly<Record<string, string>>;
}

/** Where a cell stands in the form. */
export const cellPath = (rowId: string, field: string): string => `rows.${rowId}.${field}`;

/** The rows of a form in their order; one left wholly empty is none. */
export function filledRows(rows: Readonly<Record<string, Readonly<Record<string, string>>>>): readonly TypedRow[] {
  return Object.entries(rows)
    .map(([id, cells]) => ({ id, cells }))
    .filter(({ cells }) => Object.values(cells).some((cell) => cell !== ""));
}

const text = (field: string, head: string, label = head): RowColumn => ({ field, head, label, isNumber: false });
const number = (field: string, head: string, label: string): RowColumn => ({ field, head, label, isNumber: true });

export const scaleColumns = [
  text("name", "name", "Name"),
  number("readability", "smallest step, g", "Smallest step in grams"),
  number("capacity", "carries, g", "Most it carries in grams"),
] as const;
