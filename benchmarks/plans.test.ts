import { sql } from "drizzle-orm";
import { matchRoutes, type LoaderFunctionArgs, type RouteObject, RouterContextProvider } from "react-router";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import routes from "../app/routes";
import { loadSeason } from "../app/season/loadSeason.server";
import { workshop } from "../db/demo/workshop";
import { fillYears } from "../db/testing/fillYears";
import { freshDatabase } from "../db/testing/freshDatabase";
import { appStateOn, atWorkplace, zoneOfMachine } from "../db/workplace.server";
import { pagesOf, type Page } from "./growingPages";
import { openTellingPlans, type Plan } from "./readPlans";

/** A table of more rows than this is never read from end to end. */
const LARGE = 10_000;
/** Enough that what grows with the years is large. */
const YEARS = { formulas: 5_200, batches: 10_500, entriesEach: 6, movementsEach: 4 };
const GROWS = ["batches", "batch_entries", "batch_lots", "movements", "checks", "planned_checks", "versions", "phases", "lines"];

type RouteModule = { readonly loader?: (args: LoaderFunctionArgs) => Promise<unknown> };

const modules = import.meta.glob<RouteModule>("../app/**/*Route.{ts,tsx}");
const objects: RouteObject[] = routes.map(({ path, index, file }) =>
  index === true ? { index: true, id: file, path: "" } : { path: path ?? "", id: file },
);

/** Reads what a page reads, as its loader does. */
async function readPage(path: string): Promise<void> {
  const url = new URL(path, "http://127.0.0.1");
  const match = matchRoutes(objects, url)?.at(-1);
  const load = modules[`../app/${match?.route.id}`];
  if (match === undefined || load === undefined) throw new Error(`no route lies at ${path}`);
  const { loader } = await load();
  if (loader === undefined) throw new Error(`${path} reads nothing`);
  const args = { request: new Request(url), params: match.params, context: new RouterContextProvider() };
  await loader(args as unknown as LoaderFunctionArgs);
}

const plans: Plan[] = [];
let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let telling: ReturnType<typeof openTellingPlans>;
let pages: readonly Page[];
let large: ReadonlySet<string>;

beforeAll(async () => {
  fresh = await freshDatabase({ demo: "once" });
  const place = { ...appStateOn(fresh.db), makerId: workshop.id, zone: zoneOfMachine() };
  await loadSeason(place);
  await fillYears(fresh.db, workshop.id, YEARS);
  telling = openTellingPlans(fresh.connectionString, (plan) => plans.push(plan));
  pages = await pagesOf(telling.db);
  const { rows } = await fresh.db.execute<{ name: string }>(
    sql`select relname as name from pg_class where relkind = 'r' and reltuples > ${LARGE} and relnamespace = 'public'::regnamespace`,
  );
  large = new Set(rows.map(({ name }) => name));
}, 180_000);

afterAll(async () => {
  await telling.close();
  await fresh.close();
});

describe("over years of a workshop", () => {
  it("everything that grows has grown", () => {
    expect([...large].toSorted()).toEqual(expect.arrayContaining(GROWS.toSorted()));
  });

  it("no page reads a large table from end to end", async () => {
    const read: string[] = [];
    for (const { name, path } of pages) {
      plans.length = 0;
      await atWorkplace({ ...appStateOn(telling.db), makerId: workshop.id, zone: zoneOfMachine() }, () => readPage(path));
      expect(plans.length, `${name} reads the database`).toBeGreaterThan(0);
      for (const { query, readWhole } of plans)
        for (const table of readWhole) if (large.has(table)) read.push(`${name} reads all ${table}: ${query.slice(0, 200)}`);
    }
    expect(read).toEqual([]);
  }, 120_000);
});
