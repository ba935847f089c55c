import { sql } from "drizzle-orm";
import type { Executor } from "../client.server";

/**
 * Lays so many copies of a maker's formula beside it: its head and its drafts with their stored readings, each changed a
 * second before the other. Their lines stay behind; lists do not read them.
 */
export async function copyFormula(db: Executor, formulaId: string, copies: number): Promise<void> {
  await db.execute(sql`
    with copy as (
      select gen_random_uuid() as id, number from generate_series(1, ${copies}) as number
    ), head as (
      insert into formulas (id, maker_id, name, updated_at)
      select copy.id, formulas.maker_id, formulas.name || ' ' || copy.number, now() - copy.number * interval '1 second'
      from copy cross join formulas
      where formulas.id = ${formulaId}
      returning id, maker_id
    )
    insert into versions (id, maker_id, formula_id, number, state, profile, batch_grams, assessment, core_version,
      active_percent, stop_count, fix_count, consider_count, line_count)
    select gen_random_uuid(), head.maker_id, head.id, 1, 'draft', profile, batch_grams, assessment, core_version,
      active_percent, stop_count, fix_count, consider_count, line_count
    from head cross join versions
    where versions.formula_id = ${formulaId} and versions.state = 'draft'`);
  await db.execute(sql`analyze formulas, versions`);
}
