import { sql } from "drizzle-orm";
import { openDatabase } from "../db/client.server";
import { fillYears } from "../db/testing/fillYears";
import { makeDataFolder } from "../e2e/testing/dataFolder";
import { startApplication } from "../e2e/testing/startApplication";
import { startCluster } from "../scripts/cluster.mjs";
import { pagesOf, type Page } from "./growingPages";
import { type Measured, quantile } from "./measure";

const YEARS = { formulas: 10_000, batches: 50_000, entriesEach: 100 };
const ASKED = 15;
const [MOST_MILLISECONDS, MOST_TIMES, MOST_KILOBYTES] = [150, 1.5, 150];
interface Taken {
  readonly milliseconds: number;
  readonly kilobytes: number;
}

/** What a page takes of the server, the median of some, and how long it is, unpacked. */
export async function takenBy(address: string): Promise<Taken> {
  const milliseconds: number[] = [];
  let kilobytes = 0;
  for (let time = 0; time <= ASKED; time += 1) {
    const began = performance.now();
    const answer = await fetch(address);
    const body = await answer.arrayBuffer();
    if (answer.status !== 200) throw new Error(`${address} answers ${answer.status}`);
    if (time > 0) milliseconds.push(performance.now() - began);
    kilobytes = body.byteLength / 1000;
  }
  return { milliseconds: quantile(milliseconds, 0.5), kilobytes };
}

async function takenByAll(origin: string, pages: readonly Page[]): Promise<ReadonlyMap<string, Taken>> {
  const taken = new Map<string, Taken>();
  for (const { name, path } of pages) taken.set(name, await takenBy(`${origin}${path}`));
  return taken;
}

/** Every page over a season of a workshop beside the same over its years. */
export async function benchSize(): Promise<Measured[]> {
  const folder = makeDataFolder();
  const cluster = await startCluster(folder.path, { keep: false });
  const application = await startApplication({ TENSIDRUM_DATA: folder.path, DATABASE_URL: cluster.url });
  const { db, close } = openDatabase(cluster.url);
  try {
    const pages = await pagesOf(db);
    await takenByAll(application.address, pages);
    const small = await takenByAll(application.address, pages);
    const { rows } = await db.execute<{ id: string }>(sql`select id from makers`);
    await fillYears(db, rows[0]?.id ?? "", YEARS);
    // Years come little by little and have long been tidied up; what was laid in at once is tidied before it is asked.
    await db.execute(sql`vacuum analyze`);
    await db.execute(sql`checkpoint`);
    await takenByAll(application.address, pages);
    const large = await takenByAll(application.address, pages);
    return pages.flatMap(({ name }) => {
      const [few, many] = [small.get(name), large.get(name)];
      if (few === undefined || many === undefined) return [];
      return [
        { what: `size: ${name} over a season`, value: few.milliseconds, unit: "ms", limit: null },
        { what: `size: ${name} over years`, value: many.milliseconds, unit: "ms", limit: MOST_MILLISECONDS },
        { what: `size: ${name}, years beside a season`, value: many.milliseconds / few.milliseconds, unit: "times", limit: MOST_TIMES },
        { what: `size: ${name} over years, long`, value: many.kilobytes, unit: "kB", limit: MOST_KILOBYTES },
      ];
    });
  } finally {
    await close();
    await application.stop();
    await cluster.stop();
    folder.remove();
  }
}
