import { sql, type SQL } from "drizzle-orm";
import type { PgColumn } from "drizzle-orm/pg-core";

/** A part of a list that is ordered newest first: at most so many rows, behind the row of that identifier. */
export interface Part {
  readonly most: number;
  /** The last row of the part before; absent or empty: from the beginning. */
  readonly behind?: string;
}

/** Rows that come behind one of the same table, newest first; so a list is read on from where it was, however long it is. */
export function behindRow(
  makerId: string,
  { moment, id }: { readonly moment: PgColumn; readonly id: PgColumn },
  key = "",
): SQL | undefined {
  if (key === "") return undefined;
  return sql`(${moment}, ${id}) < (select k.${sql.identifier(moment.name)}, k.id from ${moment.table} k where k.id = ${key} and k.maker_id = ${makerId})`;
}
