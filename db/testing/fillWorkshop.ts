import { sql } from "drizzle-orm";
import type { Executor } from "../client.server";

/** Multiplies the formulas of a maker who has the demo, and gives them batches with so many entries each. */
export async function fillWorkshop(
  db: Executor,
  makerId: string,
  { formulas, batches, entriesEach }: { readonly formulas: number; readonly batches: number; readonly entriesEach: number },
): Promise<void> {
  await db.execute(sql`create temp table many_formulas on commit drop as
    select gen_random_uuid() as formula_id, gen_random_uuid() as version_id, number,
      (array(select id from versions where maker_id = ${makerId} and state = 'final'))[1] as pattern
    from generate_series(1, ${formulas}) as number`);
  await db.execute(sql`insert into formulas (id, maker_id, name) select formula_id, ${makerId}, 'Formula ' || number from many_formulas`);
  await db.execute(sql`insert into versions select (jsonb_populate_record(v, jsonb_build_object('id', m.version_id, 'formula_id', m.formula_id,
      'number', 1, 'parent_id', null, 'state', 'final'))).*
    from many_formulas m join versions v on v.id = m.pattern`);
  await db.execute(sql`create temp table many_batches on commit drop as
    select gen_random_uuid() as id, number, (array(select version_id from many_formulas))[1 + number % ${formulas}::int] as version_id
    from generate_series(1, ${batches}) as number`);
  await db.execute(sql`insert into batches (id, maker_id, version_id, code, formula, steps, vessels, core_version)
    select m.id, ${makerId}, m.version_id, 'MB-' || m.number, v.snapshot, '[]', '[]', '0'
    from many_batches m join versions v on v.id = m.version_id`);
  await db.execute(sql`insert into movements (id, maker_id, lot_id, batch_id, kind, grams)
    select gen_random_uuid(), ${makerId}, (array(select id from lots where maker_id = ${makerId} order by id))[1 + number % 20], id, 'use', -1
    from many_batches`);
  await db.execute(sql`insert into batch_entries (id, batch_id, maker_id, kind, entry)
    select e.id, e.batch_id, ${makerId}, 'weighed', jsonb_build_object('id', e.id, 'kind', 'weighed', 'at', '2026-11-26T10:00:00Z',
      'step', 'water', 'line', 'a line', 'grams', e.grams)
    from (select gen_random_uuid() as id, b.id as batch_id, each * 0.37 as grams from many_batches b, generate_series(1, ${entriesEach}) as each) e`);
}
