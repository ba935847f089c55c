import { sql } from "drizzle-orm";
import type { Database } from "../db/client.server";

const curtainCall = "5ea50000-0000-4000-8000-00000000c100";

export interface Page {
  readonly name: string;
  readonly path: string;
}

/** Every page that lists or shows what grows with the years, and one of each that shows a single thing. */
export async function pagesOf(db: Database): Promise<readonly Page[]> {
  const { rows } = await db.execute<{ open: string; made: string; first: string; lot: string }>(sql`select
    (select id from batches where finished_at is null order by started_at limit 1) as open,
    (select b.id from batches b where finished_at is not null and exists (select from checks c where c.batch_id = b.id)
      order by started_at desc limit 1) as made,
    (select b.id from batches b where finished_at is not null order by started_at limit 1) as first,
    (select l.id from lots l join movements m on m.lot_id = l.id where m.batch_id is not null order by l.code limit 1) as lot`);
  const { open, made, first, lot } = rows[0] ?? {};
  const paths = {
    Today: "/",
    "older formulas on Today": `/?behind=${curtainCall}`,
    "the coming week": "/days",
    "the coming month": "/days?span=month",
    "the calendar file": "/days.ics",
    shelf: "/shelf",
    library: "/shelf?where=library",
    "a material": "/shelf/cocamidopropyl-betaine",
    "what a material did before": "/shelf/cocamidopropyl-betaine/memory.json",
    "lots for the browser": "/shelf/lots.json",
    "a lot that comes": "/shelf/receive",
    outlook: "/shelf/outlook",
    "shopping list": "/shelf/shopping",
    "prices of a material": "/shelf/glycerin/prices",
    "where a lot is": `/shelf/lots/${lot}/trace`,
    Sheet: `/sheet/${curtainCall}`,
    "a blend for it": `/designer/${curtainCall}`,
    steps: `/sheet/${curtainCall}/2/steps`,
    costs: `/sheet/${curtainCall}/costs`,
    difference: `/sheet/${curtainCall}/difference`,
    "weighing sheet": `/weighing/${curtainCall}/2`,
    Bench: "/bench",
    "older batches on the Bench": `/bench?behind=${made}`,
    "a batch being made": `/bench/${open}`,
    "a record": `/bench/${made}/record`,
    "before a batch": `/bench/begin/${curtainCall}/1`,
    "salt-curve samples": "/bench/salt-samples/5ea50000-0000-4000-8000-00000000a200/1",
    Fill: "/fill",
    "filling of a batch": `/fill/${made}`,
    containers: "/fill/containers",
    "where its containers are": `/fill/${made}/containers`,
    "cost of a batch": `/fill/${made}/cost`,
    label: `/fill/${made}/label`,
    Compare: "/compare",
    "two batches side by side": `/compare/side?of=b:${first}&of=b:${made}`,
    rounds: `/compare/rounds/${curtainCall}`,
    Watch: "/watch",
    "older batches on Watch": `/watch?behind=${made}`,
    "looks due for the browser": "/watch/due.json",
    "a sample": `/watch/${made}`,
    "lather tests": `/watch/${made}/lather`,
    "patch tests": `/watch/${made}/patch`,
    "blind tests": "/watch/blind",
    scents: "/scents",
    settings: "/settings",
    search: "/search?q=juniper",
    "search with a slip": "/search.json?q=curtian+cal",
  };
  return Object.entries(paths).map(([name, path]) => ({ name, path }));
}
