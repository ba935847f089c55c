import { coreVersion } from "@tensidrum/core/assessment";
import type { BatchEntry } from "@tensidrum/core/process";
import { sql } from "drizzle-orm";
import { afterAll, beforeAll, expect, it, vi } from "vitest";
import { addEntries, beginBatch } from "./batches/writes.server";
import { workshop } from "./demo/workshop";
import { listenForNews, type News } from "./news.server";
import { freshDatabase } from "./testing/freshDatabase";

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let news: News;
const batchId = crypto.randomUUID();
const told = vi.fn();
const others = vi.fn();

beforeAll(async () => {
  fresh = await freshDatabase({ demo: "once" });
  const { rows } = await fresh.db.execute<{ id: string; snapshot: never }>(
    sql`select id, snapshot from versions where state = 'final' limit 1`,
  );
  const { id: versionId = "", snapshot } = rows[0] ?? {};
  const begun = { id: batchId, versionId, code: "NEWS-1", formula: snapshot as never, steps: [], vessels: [], coreVersion, entries: [] };
  await beginBatch(fresh.db, workshop.id, begun, []);
  const listeners = new Map([
    [batchId, new Set([told])],
    [crypto.randomUUID(), new Set([others])],
  ]);
  // As another process would, over a connection of its own.
  news = await listenForNews(fresh.connectionString, { listeners });
});

afterAll(async () => {
  await news.close();
  await fresh.close();
});

const note = (text: string): Promise<unknown> => {
  const entry: BatchEntry = { id: crypto.randomUUID(), at: new Date().toISOString(), kind: "noted", step: null, text };
  return addEntries(fresh.db, workshop.id, batchId, () => ({ entries: [entry], lots: new Map(), filled: [], finishedAt: null }));
};

it("what another process stored is told to whoever waits for that batch, and to nobody else", async () => {
  told.mockClear();
  others.mockClear();
  await note("lights up");
  await vi.waitFor(() => expect(told).toHaveBeenCalledTimes(1));
  expect(others).not.toHaveBeenCalled();
});

it("a connection that breaks is made anew; everyone looks then, and is told as before", async () => {
  told.mockClear();
  others.mockClear();
  const { rows } = await fresh.db.execute(
    sql`select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and query = 'listen batch_news'`,
  );
  expect(rows).toHaveLength(1);
  await vi.waitFor(() => expect(others).toHaveBeenCalledTimes(1), 5_000);
  told.mockClear();
  await note("lights down");
  await vi.waitFor(() => expect(told).toHaveBeenCalledTimes(1));
});
