import { sql } from "drizzle-orm";
import type { Executor } from "./client.server";

/** A clock may be set by so much without anybody noticing. */
const UNNOTICED_MILLISECONDS = 5 * 60_000;

/** When something was stored last, whoever stored it; null in an empty database. */
export async function latestMoment(db: Executor): Promise<Date | null> {
  const { rows } = await db.execute<{ latest: Date | string | null }>(
    sql`select greatest((select max(stored_at) from batch_entries), (select max(updated_at) from versions), (select max(made_at) from movements)) as latest`,
  );
  const latest = rows[0]?.latest ?? null;
  return latest === null ? null : new Date(latest);
}

/** What is to be said when the clock of this machine is behind what it stored; null when it is not. */
export function clockProblem(latest: Date | null, now: Date): string | null {
  const behind = latest === null ? 0 : latest.getTime() - now.getTime();
  if (behind <= UNNOTICED_MILLISECONDS) return null;
  const minutes = Math.round(behind / 60_000);
  const hours = `${Math.floor(minutes / 60)} h ${minutes % 60} min`;
  return `The clock of this machine is ${hours} behind what was stored last (${latest?.toISOString()}). Set it right; until then new entries carry wrong times.`;
}
