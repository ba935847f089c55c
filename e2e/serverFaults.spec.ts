import type { Formula } from "@tensidrum/core/formula";
import { stepsOf } from "@tensidrum/core/process";
import { referenceLibrary } from "@tensidrum/core/reference";
import type { Page } from "@playwright/test";
import { readFileSync } from "node:fs";
import { acknowledged, beginBatch, done, GREEN_ROOM_BATCH, takeTyped } from "./testing/atTheBench";
import { databaseOf } from "./testing/databaseOf";
import { sendEntries } from "./testing/sendEntries";
import { addLine, beginFormula, expect, FAILED_LOAD, saved, test } from "./testing/test";

test.use({ allowedConsole: [FAILED_LOAD, /status of 507/] });

const noted = (text: string) => ({ id: crypto.randomUUID(), at: new Date().toISOString(), kind: "noted", step: null, text }) as const;

test("a database connection lost inside a transaction costs that request alone, fifteen times in a row", async ({
  start,
  demoFolder,
  browser,
}) => {
  test.setTimeout(300_000);
  const application = await start({ TENSIDRUM_DATA: demoFolder });
  const page = await browser.newPage({ baseURL: application.address });
  const batch = await beginBatch(page, GREEN_ROOM_BATCH);
  const id = batch.split("/").at(-1);
  const holder = await databaseOf(demoFolder);
  const killer = await databaseOf(demoFolder);
  for (let time = 1; time <= 15; time += 1) {
    // The entry waits inside its transaction for the batch, and there its connection is cut.
    await holder.query("begin");
    await holder.query("select 1 from batches where id = $1 for update", [id]);
    const answer = sendEntries(page.request, application.address, batch, [noted(`cut ${time}`)]);
    await expect
      .poll(async () => {
        const { rows } = await killer.query<{ pid: number }>(
          "select pid from pg_stat_activity where wait_event_type = 'Lock' and query like '%for update%'",
        );
        for (const { pid } of rows) await killer.query("select pg_terminate_backend($1)", [pid]);
        return rows.length;
      })
      .toBeGreaterThan(0);
    expect((await answer).status(), `time ${time}`).toBe(503);
    await holder.query("rollback");
    expect((await page.request.get("/")).status()).toBe(200);
  }
  const kept = await sendEntries(page.request, application.address, batch, [noted("kept")]);
  expect(kept.status()).toBe(200);
  const record = await (await page.request.get(`${batch}/record.json`)).text();
  expect(record).toContain('"kept"');
  expect(record).not.toContain("cut 1");
  await Promise.all([holder.end(), killer.end(), page.close()]);
  expect(await application.stop()).toBe(0);
});

test("PostgreSQL killed under bin/start: it is started again, and every acknowledged entry is there", async ({
  start,
  demoFolder,
  browser,
}) => {
  test.setTimeout(240_000);
  const application = await start({ TENSIDRUM_DATA: demoFolder });
  const page = await browser.newPage({ baseURL: application.address });
  const batch = await beginBatch(page, GREEN_ROOM_BATCH);
  await done(page).click();
  const { grams } = await takeTyped(page);
  await acknowledged(page);
  for (let time = 1; time <= 3; time += 1) {
    const postmaster = Number(readFileSync(`${demoFolder}/postgres/postmaster.pid`, "utf8").split("\n")[0]);
    process.kill(postmaster, "SIGKILL");
    await expect
      .poll(() => readFileSync(`${demoFolder}/postgres/postmaster.pid`, "utf8").split("\n")[0], { timeout: 20_000 })
      .not.toBe(String(postmaster));
    await expect.poll(async () => (await page.request.get("/shelf")).status(), { timeout: 20_000 }).toBe(200);
  }
  expect(application.output().match(/The database server is back/g)?.length).toBeGreaterThanOrEqual(3);
  await page.goto(`${batch}/record`);
  await expect(page.getByRole("article").getByRole("cell", { name: grams, exact: true }).first()).toBeVisible();
  await page.close();
  expect(await application.stop()).toBe(0);
});

test("a full disk: 507 in words, nothing acknowledged that is not stored, and what is typed is saved once there is space", async ({
  start,
  demoFolder,
  browser,
}) => {
  test.setTimeout(240_000);
  const application = await start({ TENSIDRUM_DATA: demoFolder });
  const page = await browser.newPage({ baseURL: application.address });
  const batch = await beginBatch(page, GREEN_ROOM_BATCH);
  await beginFormula(page);
  await addLine(page, "coco-glucoside", "4");
  await expect(saved(page)).toContainText(/saved \d\d/);
  const database = await databaseOf(demoFolder);
  // PostgreSQL's own word for it, where a row would need a new page of the disk.
  await database.query(`create function no_space() returns trigger language plpgsql as $$ begin
    raise exception 'could not extend file: No space left on device' using errcode = '53100'; end $$`);
  for (const table of ["batch_entries", "movements", "lines"])
    await database.query(`create trigger full_disk before insert on ${table} for each row execute function no_space()`);

  const refused = await sendEntries(page.request, application.address, batch, [noted("not stored")]);
  expect(refused.status()).toBe(507);
  expect(await refused.text()).toContain("The disk of the machine that runs Tensidrum is full, so nothing was stored.");
  await page.getByLabel("Coco-glucoside, percent").fill("6");
  await expect(page.getByRole("alert")).toContainText("The disk of the server is full. What you typed is kept in this browser");
  const address = page.url();

  for (const table of ["batch_entries", "movements", "lines"]) await database.query(`drop trigger full_disk on ${table}`);
  await expect(saved(page)).toContainText(/saved \d\d/);
  await page.goto(address);
  await expect(page.getByLabel("Coco-glucoside, percent")).toHaveValue("6.00");
  expect(await (await page.request.get(`${batch}/record.json`)).text()).not.toContain("not stored");
  await database.end();
  await page.close();
  await application.stop();
});

test("32 connections at once get their pages, slower, and none is refused", async ({ application }) => {
  test.setTimeout(240_000);
  const paths = ["/", "/sheet/5ea50000-0000-4000-8000-00000000c100", "/shelf", GREEN_ROOM_BATCH];
  const statuses = await Promise.all(
    Array.from({ length: 32 }, async (_, at) => {
      const own: number[] = [];
      for (let time = 0; time < 4; time += 1) {
        const answer = await fetch(`${application.address}${paths[(at + time) % paths.length] ?? "/"}`, {
          headers: { Accept: "text/html" },
        });
        await answer.arrayBuffer();
        own.push(answer.status);
      }
      return own;
    }),
  );
  expect(statuses.flat().filter((status) => status !== 200)).toEqual([]);
});

test("a lot that gives more than it holds: the weight is kept, and the balance or another lot is asked for", async ({
  start,
  demoFolder,
  browser,
}) => {
  test.setTimeout(240_000);
  const application = await start({ TENSIDRUM_DATA: demoFolder });
  const page = await browser.newPage({ baseURL: application.address });
  const batch = await beginBatch(page, GREEN_ROOM_BATCH);
  const database = await databaseOf(demoFolder);
  // The ledger says one gram less than this batch is about to take of its first lot.
  const { rows } = await database.query<{ lot_id: string; line_id: string; grams: string; maker_id: string; code: string }>(
    `select b.lot_id, b.line_id, b.grams, b.maker_id, l.code from batch_lots b join lots l on l.id = b.lot_id where batch_id = $1 order by position limit 1`,
    [batch.split("/").at(-1)],
  );
  const [share] = rows;
  if (share === undefined) throw new Error("this batch takes nothing off the shelf");
  await database.query(
    `insert into movements (id, maker_id, lot_id, kind, grams, note)
     select gen_random_uuid(), $1, $2, 'correct', $3 - sum(grams) filter (where kind not in ('reserve', 'release')), 'test' from movements where lot_id = $2`,
    [share.maker_id, share.lot_id, Number(share.grams) - 1],
  );
  await database.end();
  const step = await stepOfLine(page, batch, share.line_id);
  const weighed = {
    id: crypto.randomUUID(),
    at: new Date().toISOString(),
    kind: "weighed",
    step,
    line: share.line_id,
    grams: Number(share.grams),
  } as const;
  const answer = await sendEntries(page.request, application.address, batch, [weighed]);
  expect(await answer.json()).toMatchObject({ refused: [], short: [{ code: share.code, missingGrams: 1 }] });

  await page.goto(batch);
  await expect(page.getByRole("status").filter({ hasText: "more was weighed than the stock ledger held" })).toContainText(
    `Lot ${share.code}`,
  );
  await page.goto("/shelf");
  await expect(page.getByRole("region", { name: "Needs attention" })).toContainText("has a wrong balance.");
  await page.goto(`${batch}/lots`);
  await page.getByLabel(/Left in it now/).fill("12.5");
  await page.getByRole("button", { name: "Save the balance" }).click();
  await expect(page.getByText("Every lot of this batch holds what was taken from it.")).toBeVisible();
  await page.goto("/shelf");
  await expect(page.getByRole("region", { name: "Needs attention" })).not.toContainText("has a wrong balance.");
  await page.close();
  await application.stop();
});

/** The step in which a line is weighed. */
async function stepOfLine(page: Page, batch: string, line: string): Promise<string> {
  const { formula } = (await (await page.request.get(`${batch}/record.json`)).json()) as { formula: Formula };
  const materials = new Map([...referenceLibrary, ...(formula.materials ?? [])].map((material) => [material.slug, material]));
  const step = stepsOf(formula, materials).steps.find(({ lines }) => lines.includes(line));
  if (step === undefined) throw new Error("no step weighs this line");
  return step.id;
}
