import { sql } from "drizzle-orm";
import type { Database, Executor } from "../client.server";

/** How much a maker comes to have. */
export interface Years {
  readonly formulas: number;
  readonly batches: number;
  /** Entries of a batch; those of its pattern first, then readings and notes. */
  readonly entriesEach: number;
  /** At most so many movements of a batch; absent: as many as its pattern has. */
  readonly movementsEach?: number;
}

/** So many batches lie on one day of a workshop that has many. */
const BATCHES_A_DAY = 12;
/** So many finished batches use up one row of lots. */
const BATCHES_OF_A_ROW = 250;
/** Copies that are laid in by one statement, so that none takes longer than a statement may. */
const AT_ONCE = 500;

/**
 * Lays years behind a maker who has a season: its formulas with all their versions, and its finished batches with everything that
 * belongs to them, copied as often as it takes, each copy some days earlier than the one before. Lots of earlier rows are used up.
 * What is open stays as it is.
 */
export async function fillYears(db: Database, makerId: string, { formulas, batches, entriesEach, movementsEach }: Years): Promise<void> {
  await db.transaction(async (tx) => {
    await tx.execute(sql`set local statement_timeout = 0`);
    // The keys of copies are right by how they are made, and the balances are summed once at the end.
    await tx.execute(sql`set local session_replication_role = replica`);
    await tx.execute(sql`create function pg_temp.copied(original uuid, copy int) returns uuid language sql immutable parallel safe
      as $$ select md5(original::text || '/' || copy::text)::uuid $$`);
    const has = await countsOf(tx, makerId);
    const putBack = await takeWordIndexes(tx);
    await takePatterns(tx, makerId);
    await thin(tx, "batch_entries", entriesEach);
    if (movementsEach !== undefined) await thin(tx, "movements", movementsEach);
    const formulaCopies = Math.ceil((formulas - has.formulas) / has.formulas);
    for (const [from, to] of rangesUpTo(formulaCopies)) await copyFormulas(tx, from, to);
    const copies = Math.ceil((batches - has.batches) / has.finished);
    const rows = Math.ceil(copies / (BATCHES_OF_A_ROW / has.finished));
    await copyLots(tx, rows);
    for (const [from, to] of rangesUpTo(copies)) {
      const shift = { days: has.finished / BATCHES_A_DAY, rowOf: BATCHES_OF_A_ROW / has.finished, formulaCopies };
      await copyBatches(tx, makerId, { from, to, entriesEach, ...shift });
    }
    await settleLots(tx, makerId);
    for (const index of putBack) await tx.execute(sql.raw(index));
  });
  for (const table of [...patterns, "batches", ...ofBatches, "lot_balances"]) await db.execute(sql.raw(`analyze ${table}`));
}

/** Takes away the indexes of words in entries, which are made much sooner over all rows than row by row; how each is made again. */
async function takeWordIndexes(tx: Executor): Promise<readonly string[]> {
  const { rows } = await tx.execute<{ indexname: string; indexdef: string }>(
    sql`select indexname, indexdef from pg_indexes where tablename = 'batch_entries' and indexname like 'batch_entries_said_%'`,
  );
  for (const { indexname } of rows) await tx.execute(sql.raw(`drop index ${indexname}`));
  return rows.map(({ indexdef }) => indexdef);
}

function rangesUpTo(copies: number): readonly (readonly [number, number])[] {
  const starts = Array.from({ length: Math.max(0, Math.ceil(copies / AT_ONCE)) }, (_, part) => part * AT_ONCE + 1);
  return starts.map((from) => [from, Math.min(copies, from + AT_ONCE - 1)]);
}

async function countsOf(tx: Executor, makerId: string) {
  const { rows } = await tx.execute<{ formulas: string; batches: string; finished: string }>(sql`select
    (select count(*) from formulas where maker_id = ${makerId}) as formulas,
    (select count(*) from batches where maker_id = ${makerId}) as batches,
    (select count(*) from batches where maker_id = ${makerId} and finished_at is not null) as finished`);
  const found = rows[0];
  if (found === undefined || Number(found.finished) === 0) throw new Error("There is no finished batch to lay years in by.");
  return { formulas: Number(found.formulas), batches: Number(found.batches), finished: Number(found.finished) };
}

const patterns = ["formulas", "versions", "phases", "lines", "lots"] as const;
const ofBatches = ["batch_lots", "batch_entries", "batch_containers", "planned_checks", "checks", "lather_tests", "movements"] as const;

/** What is copied, as it is before the first copy lies beside it. */
async function takePatterns(tx: Executor, makerId: string): Promise<void> {
  for (const table of patterns)
    await tx.execute(sql`create temp table ${sql.raw(`p_${table}`)} on commit drop as
      select t as whole, t.* from ${sql.raw(table)} t where maker_id = ${makerId}`);
  await tx.execute(sql`create temp table p_batches on commit drop as
    select t as whole, t.* from batches t where maker_id = ${makerId} and finished_at is not null`);
  for (const table of ofBatches)
    await tx.execute(sql`create temp table ${sql.raw(`p_${table}`)} on commit drop as
      select t as whole, t.* from ${sql.raw(table)} t join p_batches b on b.id = t.batch_id`);
}

/** Keeps of each batch of a pattern only the first rows. */
async function thin(tx: Executor, table: "batch_entries" | "movements", most: number): Promise<void> {
  const pattern = sql.raw(`p_${table}`);
  await tx.execute(
    sql`delete from ${pattern} p where (select count(*) from ${pattern} o where o.batch_id = p.batch_id and o.position < p.position) >= ${most}`,
  );
}

/** Columns of a table, without those the database works out itself. */
async function columnsOf(tx: Executor, table: string): Promise<readonly string[]> {
  const { rows } = await tx.execute<{ name: string }>(sql`select quote_ident(column_name) as name
    from information_schema.columns where table_schema = 'public' and table_name = ${table} and is_generated = 'NEVER'`);
  return rows.map(({ name }) => name);
}

/** Rows of a pattern, each as often as there are copies, with some of their fields set. */
async function copy(tx: Executor, table: string, [from, to]: readonly [number, number], fields: string): Promise<void> {
  const columns = await columnsOf(tx, table);
  const all = sql.raw(columns.join(", "));
  await tx.execute(sql`insert into ${sql.raw(table)} (${all}) select ${sql.raw(columns.map((name) => `copied.${name}`).join(", "))}
    from ${sql.raw(`p_${table}`)} p cross join generate_series(${from}::int, ${to}::int) k
    cross join lateral jsonb_populate_record(p.whole, ${sql.raw(fields)}) copied`);
}

async function copyFormulas(tx: Executor, from: number, to: number): Promise<void> {
  const copies = [from, to] as const;
  const shifted = (field: string) => `'${field}', p.${field} - k * interval '8 hours'`;
  await copy(
    tx,
    "formulas",
    copies,
    `jsonb_build_object('id', pg_temp.copied(p.id, k), 'name', p.name || ' ' || k, ${shifted("created_at")}, ${shifted("updated_at")})`,
  );
  const version = "'version_id', pg_temp.copied(p.version_id, k)";
  await copy(
    tx,
    "versions",
    copies,
    `jsonb_build_object('id', pg_temp.copied(p.id, k), 'formula_id', pg_temp.copied(p.formula_id, k), 'parent_id', pg_temp.copied(p.parent_id, k),
        ${["created_at", "updated_at", "finalised_at"].map(shifted).join(", ")})`,
  );
  await copy(tx, "phases", copies, `jsonb_build_object(${version})`);
  await copy(tx, "lines", copies, `jsonb_build_object(${version})`);
}

async function copyLots(tx: Executor, rows: number): Promise<void> {
  await copy(
    tx,
    "lots",
    [1, rows],
    `jsonb_build_object('id', pg_temp.copied(p.id, k), 'code', p.code || '-' || k, 'on_hold', '', 'ends_on', p.ends_on - k * 21,
        'opened_on', p.opened_on - k * 21, 'created_at', p.created_at - k * interval '21 days')`,
  );
}

interface BatchCopies {
  readonly from: number;
  readonly to: number;
  readonly entriesEach: number;
  /** From one copy of all patterns to the next. */
  readonly days: number;
  /** Copies that share a row of lots. */
  readonly rowOf: number;
  readonly formulaCopies: number;
}

async function copyBatches(
  tx: Executor,
  makerId: string,
  { from, to, entriesEach, days, rowOf, formulaCopies }: BatchCopies,
): Promise<void> {
  const copies = [from, to] as const;
  const ago = `k * ${days} * interval '1 day'`;
  const batch = "'batch_id', pg_temp.copied(p.batch_id, k)";
  const row = `(1 + (k - 1) / ${rowOf}::int)::int`;
  const lot = `'lot_id', pg_temp.copied(p.lot_id, ${row})`;
  const version = formulaCopies > 0 ? `pg_temp.copied(p.version_id, 1 + k % ${formulaCopies})` : "p.version_id";
  await copy(
    tx,
    "batches",
    copies,
    `jsonb_build_object('id', pg_temp.copied(p.id, k), 'code', p.code || '-' || k, 'version_id', ${version},
        'started_at', p.started_at - ${ago}, 'finished_at', p.finished_at - ${ago})`,
  );
  await copy(tx, "batch_lots", copies, `jsonb_build_object(${batch}, ${lot})`);
  await copy(tx, "batch_containers", copies, `jsonb_build_object(${batch})`);
  const looked = (fields: string, due: string) =>
    `jsonb_build_object('id', pg_temp.copied(p.id, k), ${batch}, ${fields}, '${due}', p.${due} - ${due === "due_on" ? `(k * ${days})::int` : ago})`;
  // What lies years back is not looked at any more.
  await copy(
    tx,
    "planned_checks",
    copies,
    looked(`'skipped_because', case when k * ${days} > 60 then 'long ago' else p.skipped_because end`, "due_on"),
  );
  await copy(tx, "checks", copies, looked("'planned_id', pg_temp.copied(p.planned_id, k)", "looked_at"));
  await copy(tx, "lather_tests", copies, looked("'note', p.note", "tested_at"));
  await tx.execute(sql`insert into movements (id, maker_id, lot_id, batch_id, kind, grams, note, made_at)
    select pg_temp.copied(p.id, k), p.maker_id, pg_temp.copied(p.lot_id, ${sql.raw(row)}), pg_temp.copied(p.batch_id, k), kind, grams, note,
      made_at - ${sql.raw(ago)}
    from p_movements p cross join generate_series(${from}::int, ${to}::int) k`);
  await tx.execute(sql`insert into batch_entries (id, batch_id, maker_id, kind, entry)
    select pg_temp.copied(p.id, k), pg_temp.copied(p.batch_id, k), p.maker_id, p.kind,
      p.entry || jsonb_build_object('id', pg_temp.copied(p.id, k), 'at', to_jsonb((p.entry ->> 'at')::timestamptz - ${sql.raw(ago)}))
        || case when p.kind = 'taken-back' then jsonb_build_object('entry', pg_temp.copied((p.entry ->> 'entry')::uuid, k)) else '{}' end
    from p_batch_entries p cross join generate_series(${from}::int, ${to}::int) k`);
  await tx.execute(sql`insert into batch_entries (id, batch_id, maker_id, kind, entry)
    select e.id, e.batch_id, ${makerId}, e.kind, jsonb_build_object('id', e.id, 'kind', e.kind, 'at', to_jsonb(e.at), 'step', null)
      || case when e.kind = 'noted' then jsonb_build_object('text', 'Stirred, ' || e.number) else '{"ph": 5.4, "way": "dilution", "sampleGrams": 2}' end
    from (
      select gen_random_uuid() as id, pg_temp.copied(p.id, k) as batch_id, p.started_at - ${sql.raw(ago)} + number * interval '1 minute' as at,
        number, case when number % 4 = 0 then 'noted' else 'ph-read' end as kind
      from p_batches p cross join generate_series(${from}::int, ${to}::int) k
      cross join lateral generate_series(1, ${entriesEach}::int - (select count(*)::int from p_batch_entries o where o.batch_id = p.id)) number
    ) e`);
}

/** What batches took of a lot that was copied came to it once, and is gone. */
async function settleLots(tx: Executor, makerId: string): Promise<void> {
  await tx.execute(sql`insert into movements (id, maker_id, lot_id, kind, grams, made_at)
    select gen_random_uuid(), ${makerId}, m.lot_id, 'receive', -sum(m.grams), min(m.made_at) - interval '1 day'
    from movements m where m.maker_id = ${makerId} and not exists (select from lot_balances b where b.lot_id = m.lot_id)
    group by m.lot_id having sum(m.grams) < 0`);
  await tx.execute(sql`insert into lot_balances (lot_id, maker_id, free_grams, left_grams, is_untouched)
    select l.id, ${makerId}, coalesce(sum(m.grams), 0), coalesce(sum(m.grams) filter (where m.kind not in ('reserve', 'release')), 0),
      count(m.id) filter (where m.kind <> 'receive') = 0
    from lots l left join movements m on m.lot_id = l.id and m.maker_id = ${makerId}
    where l.maker_id = ${makerId} and not exists (select from lot_balances b where b.lot_id = l.id)
    group by l.id`);
}
