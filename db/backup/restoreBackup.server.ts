import { createHash } from "node:crypto";
import { Refusal } from "@tensidrum/core/quantities";
import { sql, type SQL } from "drizzle-orm";
import type { Database, Executor } from "../client.server";
import { brokenConstraint, isUnstorable } from "../failures.server";
import { backupKinds, settingsKind, type BackupColumn, type BackupKind } from "./kinds";
import { readBackup, type BackupRows } from "./readBackup.server";
import { LIBRARY_PREFIX, settleTransaction } from "./rowsOfKind.server";
import { tablesOf } from "./tables.server";
import { digestsOf, type NoteBackupProgress } from "./writeBackup.server";

/** What restoring would change of one kind. */
export interface KindDifference {
  readonly kind: string;
  /** Rows there are now. */
  readonly here: number;
  /** Rows in the backup. */
  readonly inBackup: number;
  /** Only in the backup. */
  readonly added: number;
  readonly changed: number;
  /** Only here: they go. */
  readonly removed: number;
  /** Names of some that go. */
  readonly removedNames: readonly string[];
}

export interface BackupDifference {
  /** ISO moment of the backup. */
  readonly madeAt: string;
  readonly kinds: readonly KindDifference[];
  /** Stands for what would change. */
  readonly fingerprint: string;
}

const MOST_NAMES = 8;

const staged = (kind: BackupKind) => sql.identifier(`restored_${kind.name}`);
const tableOf = (kind: BackupKind) => sql.identifier(kind.name);
const named = (names: readonly string[]): SQL =>
  sql.join(
    names.map((name) => sql.identifier(name)),
    sql`, `,
  );

function readColumn({ name, type, isMaterial }: BackupColumn): SQL {
  const column = sql`r.${sql.identifier(name)}`;
  if (isMaterial) {
    const ofLibrary = sql`(select m.id from materials m where m.maker_id is null and ${LIBRARY_PREFIX}::text || m.slug = ${column})`;
    return sql`coalesce(${ofLibrary}, case when ${column} not like ${`${LIBRARY_PREFIX}%`} then ${column}::uuid end)`;
  }
  return type === "bytea" ? sql`decode(${column}, 'base64')` : column;
}

/** Puts rows of a backup beside their table, as this maker's. */
async function stage(db: Executor, makerId: string, { kind, lines, rows }: BackupRows): Promise<void> {
  const told = new Set(rows.flatMap((row) => Object.keys(row)));
  const columns = kind.columns.filter(({ name }) => told.has(name));
  const shape = sql.join(
    columns.map(({ name, type, isMaterial }) => sql`${sql.identifier(name)} ${sql.raw(isMaterial || type === "bytea" ? "text" : type)}`),
    sql`, `,
  );
  const values = sql.join([sql`${makerId}::uuid`, ...columns.map(readColumn)], sql`, `);
  await db.execute(sql`insert into ${staged(kind)} (${named([kind.owner, ...columns.map(({ name }) => name)])})
    select ${values} from json_to_recordset(${`[${lines.join(",")}]`}::json) as r(${shape})`);
}

async function slugsOfLibrary(db: Executor): Promise<ReadonlySet<string>> {
  const { rows } = await db.execute<{ slug: string }>(sql`select slug from materials where maker_id is null`);
  return new Set(rows.map(({ slug }) => slug));
}

/** @throws Refusal naming a material of the library that this build's does not have. */
function mustKnow(library: ReadonlySet<string>, { kind, rows }: BackupRows): void {
  const names = kind.columns.flatMap(({ name, isMaterial }) => (isMaterial ? [name] : []));
  for (const told of names.flatMap((name) => rows.map((row) => row[name]))) {
    if (typeof told !== "string" || !told.startsWith(LIBRARY_PREFIX) || library.has(told.slice(LIBRARY_PREFIX.length))) continue;
    const slug = told.slice(LIBRARY_PREFIX.length);
    throw new Refusal(
      "not-possible",
      `The library here has no "${slug}", which the backup uses. Nothing was stored.`,
      "Update Tensidrum here, then restore it.",
    );
  }
}

/** Reads a backup into tables beside those of the maker; they go with the transaction. */
async function stageAll(db: Executor, makerId: string, file: string, note: NoteBackupProgress) {
  for (const kind of backupKinds)
    await db.execute(sql`create temp table ${staged(kind)} (like ${tableOf(kind)} including defaults including generated) on commit drop`);
  const library = await slugsOfLibrary(db);
  const reading = readBackup(file, await tablesOf(db));
  let [done, total, madeAt] = [0, 0, ""];
  // The next rows are read while the database takes these.
  let taking: Promise<void> = Promise.resolve();
  for (let part = await reading.next(); ; part = await reading.next()) {
    if (part.done === true) {
      await taking;
      return { madeAt, digests: part.value };
    }
    if ("format" in part.value) {
      madeAt = part.value.madeAt;
      total = Object.values(part.value.rows).reduce((sum, rows) => sum + rows, 0);
    } else {
      mustKnow(library, part.value);
      await taking;
      taking = stage(db, makerId, part.value);
      // Waited for above, or by whoever is told of another fault first.
      taking.catch(() => undefined);
      note({ done: (done += part.value.lines.length), total });
    }
  }
}

async function differenceOf(db: Executor, makerId: string, kind: BackupKind): Promise<KindDifference> {
  const [table, owner] = [tableOf(kind), sql.identifier(kind.owner)];
  const all = (alias: string) =>
    sql.join(
      kind.columns.map(({ name }) => sql`${sql.raw(alias)}.${sql.identifier(name)}`),
      sql`, `,
    );
  const same = sql.join(
    kind.key.map((name) => sql`s.${sql.identifier(name)} = t.${sql.identifier(name)}`),
    sql` and `,
  );
  const key = sql.identifier(kind.key[0] ?? "id");
  const { rows } = await db.execute<Omit<KindDifference, "kind" | "removedNames">>(sql`
    select count(t.${key})::int as here, count(s.${key})::int as "inBackup",
      count(*) filter (where t.${key} is null)::int as added,
      count(*) filter (where s.${key} is null)::int as removed,
      count(*) filter (where t.${key} is not null and s.${key} is not null and row(${all("t")}) is distinct from row(${all("s")}))::int as changed
    from (select * from ${table} where ${owner} = ${makerId}) t full join ${staged(kind)} s on ${same}`);
  const [counts] = rows;
  if (counts === undefined) throw new Error(`No difference of ${kind.name}`);
  const removedNames = kind.calledBy === null || counts.removed === 0 ? [] : await namesOfRemoved(db, makerId, kind, same, kind.calledBy);
  return { kind: kind.name, ...counts, removedNames };
}

async function namesOfRemoved(db: Executor, makerId: string, kind: BackupKind, same: SQL, calledBy: string): Promise<readonly string[]> {
  const { rows } = await db.execute<{ name: string }>(sql`
    select t.${sql.identifier(calledBy)} as name from ${tableOf(kind)} t
    where t.${sql.identifier(kind.owner)} = ${makerId} and not exists (select 1 from ${staged(kind)} s where ${same})
    order by 1 limit ${MOST_NAMES}`);
  return rows.map(({ name }) => name);
}

async function differences(db: Executor, makerId: string): Promise<Pick<BackupDifference, "kinds" | "fingerprint">> {
  const kinds: KindDifference[] = [];
  for (const kind of backupKinds) kinds.push(await differenceOf(db, makerId, kind));
  return { kinds, fingerprint: createHash("sha256").update(JSON.stringify(kinds)).digest("hex").slice(0, 16) };
}

/**
 * Says what restoring a backup would change, and changes nothing.
 * @throws Refusal where the file cannot be restored.
 */
export async function compareBackup(db: Database, makerId: string, file: string, note: NoteBackupProgress): Promise<BackupDifference> {
  return storing(() =>
    db.transaction(async (tx) => {
      await settleTransaction(tx);
      const { madeAt } = await stageAll(tx, makerId, file, note);
      return { madeAt, ...(await differences(tx, makerId)) };
    }),
  );
}

/** The maker's row stays; everything that hangs on it goes. */
async function emptyMaker(db: Executor, makerId: string): Promise<void> {
  await db.execute(sql`create temp table kept_makers on commit drop as select * from makers where id = ${makerId}`);
  for (const name of ["sessions", "feeds"]) {
    const kept = sql.identifier(`kept_${name}`);
    await db.execute(sql`create temp table ${kept} on commit drop as select * from ${sql.identifier(name)} where maker_id = ${makerId}`);
  }
  await db.execute(sql`delete from makers where id = ${makerId}`);
  await db.execute(sql`insert into makers select * from kept_makers`);
  await db.execute(sql`insert into sessions select * from kept_sessions`);
  await db.execute(sql`insert into feeds select * from kept_feeds`);
}

async function bringIn(db: Executor, makerId: string, kind: BackupKind): Promise<void> {
  const columns = kind.columns.map(({ name }) => name);
  if (kind === settingsKind) {
    const set = sql.join(
      columns.map((name) => sql`${sql.identifier(name)} = s.${sql.identifier(name)}`),
      sql`, `,
    );
    await db.execute(sql`update makers t set ${set} from ${staged(kind)} s where t.id = ${makerId}`);
    return;
  }
  const all = named([kind.owner, ...columns]);
  await db.execute(sql`insert into ${tableOf(kind)} (${all}) select ${all} from ${staged(kind)}`);
  const counter = kind.columns.find(({ name, type }) => name === "position" && type === "bigint");
  if (counter === undefined) return;
  await db.execute(sql`select setval(pg_get_serial_sequence(${kind.name}, 'position'), greatest(max(position), 1)) from ${tableOf(kind)}`);
}

/**
 * Makes everything of a maker as it is in the backup, all or nothing. What they have now goes.
 * @param expected fingerprint of what they were told would change; where it is something else by now, nothing is done. Null: whatever it is
 * @throws Refusal where the file cannot be restored.
 */
export async function restoreBackup(
  db: Database,
  makerId: string,
  file: string,
  { expected, note }: { readonly expected: string | null; readonly note: NoteBackupProgress },
): Promise<BackupDifference> {
  return storing(() =>
    db.transaction(async (tx) => {
      await settleTransaction(tx);
      // Nobody else of the maker writes meanwhile: whatever is theirs names this row.
      await tx.execute(sql`select 1 from makers where id = ${makerId} for update`);
      const { madeAt, digests } = await stageAll(tx, makerId, file, note);
      const found = await differences(tx, makerId);
      if (expected !== null && expected !== found.fingerprint) {
        throw new Refusal("conflict", "Something changed here since you compared, so nothing was restored.", "Compare once more.");
      }
      // The rules that keep final versions, used lots and entries as they are look away while everything comes back.
      await tx.execute(sql`select set_config('tensidrum.restoring', 'on', true)`);
      await emptyMaker(tx, makerId);
      for (const kind of backupKinds) await bringIn(tx, makerId, kind);
      const restored = await digestsOf(tx, makerId);
      const different = [...digests].find(([name, digest]) => restored.get(name) !== digest);
      if (different !== undefined) {
        throw new Refusal(
          "not-possible",
          `The ${different[0]} did not come back as they were, so nothing was restored.`,
          "Update Tensidrum here, then restore it.",
        );
      }
      return { madeAt, ...found };
    }),
  );
}

/** Words for what the database does not take. */
async function storing<Result>(job: () => Promise<Result>): Promise<Result> {
  try {
    return await job();
  } catch (error) {
    const broken = brokenConstraint(error);
    if (broken === "taken") {
      throw new Refusal(
        "conflict",
        "Some of this backup belongs to another maker of this database. Nothing was stored.",
        "Restore it on another machine.",
      );
    }
    if (broken !== undefined || isUnstorable(error)) {
      throw new Refusal("not-valid", "This backup holds something that cannot be true. Nothing was stored.", "Choose another backup.");
    }
    throw error;
  }
}
