import { group, idOrNone } from "./fields.server";

/** Behind which row a list goes on; empty: from the newest. */
export const partQuestions = group({ behind: idOrNone() });

/** A part of a list that is told in parts, the newest first. */
export interface ListPart<Row> {
  readonly shown: readonly Row[];
  /** The row behind which the next part begins; null where this is the last. */
  readonly older: string | null;
}

/** How many rows are asked for to know whether more follow. */
export const askedFor = (most: number): number => most + 1;

/** The part of so many rows, of one row more than it shows. */
export function partOf<Row extends { readonly id: string }>(rows: readonly Row[], most: number): ListPart<Row> {
  const shown = rows.slice(0, most);
  return { shown, older: rows.length > most ? (shown.at(-1)?.id ?? null) : null };
}
