import { mkdtemp, readFile, rm, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { gunzipSync, gzipSync } from "node:zlib";
import { sql } from "drizzle-orm";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { Database } from "../client.server";
import { workshop } from "../demo/workshop";
import { deleteFormula } from "../formulas/writes.server";
import { freshDatabase } from "../testing/freshDatabase";
import { backupKinds } from "./kinds";
import { findKeptBackup, keepBackup, keepDailyBackups, listKeptBackups, receiveBackup } from "./keptBackups.server";
import { headOfBackup } from "./readBackup.server";
import { compareBackup, restoreBackup } from "./restoreBackup.server";
import { digestsOf, writeBackup } from "./writeBackup.server";

let full: Awaited<ReturnType<typeof freshDatabase>>;
let empty: Awaited<ReturnType<typeof freshDatabase>>;
let folder: string;
let file: string;
/** What was written, line by line. */
let written: readonly string[];

const quietly = { expected: null, note: () => undefined } as const;

beforeAll(async () => {
  [full, empty] = await Promise.all([freshDatabase({ demo: "once" }), freshDatabase({ demo: "never" })]);
  folder = await mkdtemp(`${tmpdir()}/tensidrum-backup-`);
  file = `${folder}/all.backup`;
  await furnish(full.db);
  await writeBackup(full.db, workshop.id, file);
  written = gunzipSync(await readFile(file))
    .toString()
    .split("\n")
    .slice(0, -1);
});

afterAll(async () => {
  await Promise.all([full.close(), empty.close()]);
  await rm(folder, { recursive: true });
});

/** What the demo has not: a batch whose formula is gone, with a photo, and a number with zeros behind its point. */
async function furnish(db: Database): Promise<void> {
  const batch = crypto.randomUUID();
  const entry = { id: crypto.randomUUID(), at: "2026-11-26T10:00:00Z", kind: "noted", text: "Lights, “camera”\nand 100 %" };
  const version = sql`(select id from versions where maker_id = ${workshop.id} and state = 'final' limit 1)`;
  await db.execute(sql`insert into batches (id, maker_id, version_id, code, formula, steps, vessels, core_version)
    values (${batch}, ${workshop.id}, ${version}, 'GONE-1', '{"name": "Gone", "batchGrams": 300}', '[]', '[]', '0')`);
  await db.execute(sql`update batches set version_id = null where id = ${batch}`);
  await db.execute(sql`insert into batch_entries (id, batch_id, maker_id, kind, entry)
    values (${entry.id}, ${batch}, ${workshop.id}, 'noted', ${JSON.stringify(entry)}::jsonb)`);
  await db.execute(sql`insert into batch_photos (id, batch_id, maker_id, picture, width, height)
    values (${crypto.randomUUID()}, ${batch}, ${workshop.id}, ${Buffer.from(Array.from({ length: 1000 }, (_, at) => at % 256))}, 4, 3)`);
  await db.execute(sql`update lots set price = 7.500 where maker_id = ${workshop.id}`);
}

const sent = async (lines: readonly string[], { packed = true } = {}): Promise<string> => {
  const one = `${folder}/${crypto.randomUUID()}`;
  const text = lines.map((line) => `${line}\n`).join("");
  await writeFile(one, packed ? gzipSync(text) : text);
  return one;
};

const refusalOf = async (one: string): Promise<string> => {
  const before = await digestsOf(empty.db, workshop.id);
  const message = await restoreBackup(empty.db, workshop.id, one, quietly).then(
    () => "taken",
    (error: Error) => error.message,
  );
  expect(await digestsOf(empty.db, workshop.id)).toEqual(before);
  return message;
};

describe("a backup", () => {
  it("has every table that belongs to a maker", async () => {
    const { rows } = await full.db.execute<{ name: string }>(
      sql`select table_name as name from information_schema.columns where column_name = 'maker_id' and table_schema = 'public'`,
    );
    // Who works where belongs to the machine, and the balances follow from the movements.
    const owned = rows.map(({ name }) => name).filter((name) => !["sessions", "feeds", "lot_balances"].includes(name));
    expect(backupKinds.map(({ name }) => name).sort()).toEqual([...owned, "makers"].sort());
  });

  it("begins with a head that counts its rows", async () => {
    const head = await headOfBackup(file, 10_000);
    expect(head.rows.batch_photos).toBe(1);
    expect(Object.values(head.rows).reduce((sum, count) => sum + count, 0) + backupKinds.length + 2).toBe(written.length);
  });

  it("keeps every digit of a number", () => {
    expect(written.some((line) => line.includes('"price":7.500,'))).toBe(true);
  });

  it.each([
    ["something else", () => sent(["name;grams", "Glycerin;100"], { packed: false }), "not a backup"],
    ["something else, packed", () => sent(["name;grams"]), "not a backup"],
    ["an empty file", () => sent([], { packed: false }), "not a backup"],
    ["another file of ours", () => sent(['{"format":"tensidrum-formula/1"}']), "not a backup"],
    ["one of a newer format", () => sent(['{"format":"tensidrum-backup/2"}']), "newer Tensidrum"],
    ["one of newer tables", () => sent([written[0]!.replace(/"tables":\d+/, '"tables":9999'), ...written.slice(1)]), "newer Tensidrum"],
    ["one without its last lines", () => sent(written.slice(0, 40)), "after line 40"],
    ["one without its end", () => sent(written.slice(0, -1)), "too early, after line"],
    ["a number that changed", () => sent(written.map((line) => line.replace('"price":7.500', '"price":7.400'))), "the lots before line"],
    ["a row that is none", () => sent(written.map((line, at) => (at === 3 ? "[]" : line))), "line 4"],
    ["a row that is lost", () => sent(written.filter((_, at) => at !== 20)), "damaged"],
  ])("%s is refused, with the place, and nothing is stored", async (_, make, says) => {
    expect(await refusalOf(await make())).toContain(says);
  });

  it("cut off in its packing, or changed there, is refused", async () => {
    const bytes = await readFile(file);
    const [cut, changed] = [`${folder}/cut`, `${folder}/changed`];
    const half = Math.floor(bytes.length / 2);
    await writeFile(cut, bytes.subarray(0, half));
    expect(await refusalOf(cut)).toMatch(/ends too early, after line \d+/);
    bytes.fill(0, half, half + 40);
    await writeFile(changed, bytes);
    expect(await refusalOf(changed)).toMatch(/damaged/);
  });

  it("comes back into an empty maker as it was, every kind by its digest", async () => {
    const before = await digestsOf(full.db, workshop.id);
    const { kinds } = await restoreBackup(empty.db, workshop.id, file, quietly);
    expect(kinds.every(({ kind, here }) => here === 0 || ["makers", "scales"].includes(kind))).toBe(true);
    expect(await digestsOf(empty.db, workshop.id)).toEqual(before);
    // The balances of the lots are not in it: they follow from its movements.
    const { rows: wrong } = await empty.db.execute(sql`
      select l.id from lots l left join lot_balances b on b.lot_id = l.id
      where coalesce(b.free_grams, 0) <> coalesce((select sum(grams) from movements m where m.lot_id = l.id), 0)`);
    expect(wrong).toEqual([]);
    const { rows } = await empty.db.execute(sql`select place from sessions where maker_id = ${workshop.id}`);
    expect(rows).toHaveLength(1);
  });

  it("comes back into one that has the same: nothing would change, and later entries follow", async () => {
    const { kinds } = await compareBackup(empty.db, workshop.id, file, () => undefined);
    expect(kinds.filter(({ added, changed, removed }) => added + changed + removed > 0)).toEqual([]);
    const { rows } = await empty.db.execute<{ next: number; last: number }>(
      sql`select nextval('movements_position_seq')::int as next, (select max(position) from movements)::int as last`,
    );
    expect(rows[0]!.next).toBeGreaterThan(rows[0]!.last);
  });

  it("says what would change before it does, by name, and does it all at once", async () => {
    const { rows: formulas } = await empty.db.execute<{ id: string; name: string }>(sql`select id, name from formulas order by name`);
    await deleteFormula(empty.db, workshop.id, formulas[0]!.id);
    await empty.db.execute(sql`update lots set note = 'changed' where id = (select id from lots limit 1)`);
    await empty.db.execute(sql`insert into formulas (id, maker_id, name) values (${crypto.randomUUID()}, ${workshop.id}, 'Typed since')`);
    const { kinds, fingerprint } = await compareBackup(empty.db, workshop.id, file, () => undefined);
    const of = (name: string) => kinds.find(({ kind }) => kind === name);
    expect(of("formulas")).toMatchObject({ added: 1, changed: 0, removed: 1, removedNames: ["Typed since"] });
    expect(of("lots")).toMatchObject({ added: 0, changed: 1, removed: 0 });
    await restoreBackup(empty.db, workshop.id, file, { ...quietly, expected: fingerprint });
    expect(await digestsOf(empty.db, workshop.id)).toEqual(await digestsOf(full.db, workshop.id));
  });

  it("is not restored over what changed since it was compared", async () => {
    const { fingerprint } = await compareBackup(empty.db, workshop.id, file, () => undefined);
    await empty.db.execute(sql`insert into formulas (id, maker_id, name) values (${crypto.randomUUID()}, ${workshop.id}, 'Meanwhile')`);
    await expect(restoreBackup(empty.db, workshop.id, file, { ...quietly, expected: fingerprint })).rejects.toThrow("changed here since");
  });

  it("never takes what is another maker's", async () => {
    const stranger = crypto.randomUUID();
    await full.db.execute(sql`insert into makers (id, name) values (${stranger}, 'Somebody else')`);
    const before = await digestsOf(full.db, workshop.id);
    await expect(restoreBackup(full.db, stranger, file, quietly)).rejects.toThrow("another maker");
    expect(await digestsOf(full.db, workshop.id)).toEqual(before);
  });
});

describe("kept backups", () => {
  it("stay a week of each reason, and a day has one", async () => {
    const kept = `${folder}/kept`;
    const said: string[] = [];
    for (let at = 0; at < 2; at += 1) await keepDailyBackups(full.db, { folder: kept, say: (step) => said.push(step) })();
    expect(said).toHaveLength(1);
    expect(said[0]).toMatch(/\.backup, 0\.\d\d MB/);
    for (let day = 1; day < 9; day += 1) await writeFile(`${kept}/tensidrum-2026-01-0${day}.backup`, "old");
    await keepBackup(full.db, workshop.id, { folder: kept, reason: "made" });
    const names = (await listKeptBackups(kept)).map(({ reason }) => reason);
    expect(names.filter((reason) => reason === "daily")).toHaveLength(7);
    expect(names.filter((reason) => reason === "made")).toHaveLength(1);
  });

  it("take a file that is sent, and know no other names", async () => {
    const kept = `${folder}/sent`;
    const name = await receiveBackup(kept, new Blob([new Uint8Array(await readFile(file))]).stream());
    const found = await findKeptBackup(kept, name);
    expect(found.bytes).toBe((await readFile(file)).length);
    await expect(findKeptBackup(kept, "../all.backup")).rejects.toThrow("not kept here");
  });
});
