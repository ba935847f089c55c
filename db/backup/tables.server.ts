import { sql } from "drizzle-orm";
import type { Executor } from "../client.server";

/** How many changes the tables of a database have seen. */
export async function tablesOf(db: Executor): Promise<number> {
  const { rows } = await db.execute<{ count: number }>(sql`select count(*)::int as count from drizzle.__drizzle_migrations`);
  return rows[0]?.count ?? 0;
}
