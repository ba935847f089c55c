import { sql, type SQL } from "drizzle-orm";
import type { Executor } from "../client.server";
import type { BackupColumn, BackupKind } from "./kinds";

/** A material of the library in a backup: by its slug. */
export const LIBRARY_PREFIX = "library:";

/** So many rows are held at once; those that carry a whole formula and photos are large. */
const ROWS_AT_ONCE = 500;
const LARGE_ROWS_AT_ONCE = 40;
const PHOTOS_AT_ONCE = 4;

function rowsAtOnce({ columns }: BackupKind): number {
  if (columns.some(({ type }) => type === "bytea")) return PHOTOS_AT_ONCE;
  return columns.filter(({ type }) => type === "jsonb").length > 1 ? LARGE_ROWS_AT_ONCE : ROWS_AT_ONCE;
}

/** A column as a backup tells it. */
function written({ name, type, isMaterial }: BackupColumn): SQL {
  const column = sql`t.${sql.identifier(name)}`;
  if (isMaterial) {
    const ofLibrary = sql`(select ${LIBRARY_PREFIX}::text || m.slug from materials m where m.id = ${column} and m.maker_id is null)`;
    return sql`coalesce(${ofLibrary}, ${column}::text)`;
  }
  return type === "bytea" ? sql`replace(encode(${column}, 'base64'), E'\\n', '')` : column;
}

/** Same order on every machine, whatever language its database sorts in and whatever its library is numbered by. */
function ordered(kind: BackupKind): SQL {
  const keys = kind.key.map((name) => {
    const column = kind.columns.find((one) => one.name === name);
    if (column?.isMaterial === true) return sql`${written(column)} collate "C"`;
    return column?.type === "text" ? sql`t.${sql.identifier(name)} collate "C"` : sql`t.${sql.identifier(name)}`;
  });
  return sql.join(keys, sql`, `);
}

/** How many rows of a kind a maker has. */
export async function countRows(db: Executor, makerId: string, kind: BackupKind): Promise<number> {
  const { rows } = await db.execute<{ count: number }>(
    sql`select count(*)::int as count from ${sql.identifier(kind.name)} t where t.${sql.identifier(kind.owner)} = ${makerId}`,
  );
  return rows[0]?.count ?? 0;
}

/**
 * The rows of a kind as lines of JSON, some at a time, as PostgreSQL writes them: every number keeps all its digits. The
 * caller's transaction holds one state of the database.
 */
export async function* rowsOfKind(db: Executor, makerId: string, kind: BackupKind): AsyncGenerator<readonly string[]> {
  const cursor = sql.identifier(`backup_${kind.name}`);
  const columns = sql.join(
    kind.columns.map((column) => sql`${written(column)} as ${sql.identifier(column.name)}`),
    sql`, `,
  );
  const atOnce = rowsAtOnce(kind);
  await db.execute(sql`declare ${cursor} no scroll cursor for select row_to_json(r)::text as line from (
    select ${columns} from ${sql.identifier(kind.name)} t where t.${sql.identifier(kind.owner)} = ${makerId} order by ${ordered(kind)}
  ) r`);
  for (;;) {
    const { rows } = await db.execute<{ line: string }>(sql`fetch ${sql.raw(String(atOnce))} from ${cursor}`);
    if (rows.length > 0) yield rows.map(({ line }) => line);
    if (rows.length < atOnce) break;
  }
  await db.execute(sql`close ${cursor}`);
}

/** Gives a transaction that reads or writes everything the time it needs, and one way of writing moments. */
export async function settleTransaction(db: Executor): Promise<void> {
  await db.execute(sql`select set_config('statement_timeout', '600000', true), set_config('timezone', 'UTC', true)`);
}
