import { chromium, type Page } from "@playwright/test";
import { coreVersion } from "@tensidrum/core/assessment";
import { watchedAlarms, watchedReadings, watchedShelfLife, wayOn, type SampleLook } from "@tensidrum/core/stability";
import { sql } from "drizzle-orm";
import sharp from "sharp";
import { beginBatch } from "../db/batches/writes.server";
import { openDatabase, type Database } from "../db/client.server";
import { demoFormulas } from "../db/demo/formulas";
import { workshop } from "../db/demo/workshop";
import { findVersion } from "../db/formulas/queries.server";
import { keepCheck } from "../db/watch/queries.server";
import playwrightConfig from "../playwright.config";
import { millisecondsPerCall, type Measured, quantile } from "./measure";

const [LOOKS, PHOTOS, OPENINGS] = [500, 50, 12];

/** A batch with many checks: opened, its trends fitted, its photos scrolled. */
export async function benchWatch(address: string, databaseUrl: string): Promise<Measured[]> {
  const { db, close } = openDatabase(databaseUrl);
  const batchId = await watchedBatch(db);
  await close();
  const looks = Array.from({ length: LOOKS }, (_, at): SampleLook => {
    const storage = at % 2 === 0 ? "room" : "warm";
    const day = at / 4;
    return {
      storage,
      day,
      ph: 5.2 - day / 900,
      viscosity: 2 - day / 400,
      lab: { l: 80 - day / 40, a: 1, b: 20 },
      sedimentMm: day / 90,
      signs: [],
    };
  });
  const start = { ph: 5.2, viscosity: 2 };
  const fits = millisecondsPerCall(
    () => {
      const readings = watchedReadings(start, looks, ["room", "warm"]);
      watchedAlarms(start, looks, "warm");
      watchedShelfLife(readings);
      for (const reading of readings) wayOn(reading, "warm");
    },
    { blocks: 9, callsPerBlock: 3 },
  );
  const browser = await chromium.launch(playwrightConfig.use?.launchOptions ?? {});
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const opened: number[] = [];
  for (let at = 0; at < OPENINGS; at += 1) {
    await page.goto(new URL("/watch", address).toString());
    await page.waitForLoadState("networkidle");
    const link = page.locator(`a[href="/watch/${batchId}"]`);
    opened.push(
      await link.evaluate(async (element: HTMLElement) => {
        const began = performance.now();
        element.click();
        while (document.querySelector("#looked-head") === null) await new Promise(requestAnimationFrame);
        await new Promise(requestAnimationFrame);
        return performance.now() - began;
      }),
    );
  }
  const longest = await longestFrame(page);
  await browser.close();
  return [
    {
      what: `browser: a watched batch of ${LOOKS} checks, from the list to its page, median`,
      value: quantile(opened, 0.5),
      unit: "ms",
      limit: 300,
    },
    { what: `core: trends, alarms and shelf life of ${LOOKS} checks`, value: fits, unit: "ms", limit: 20 },
    { what: `browser: longest frame while ${PHOTOS} photos are scrolled past`, value: longest, unit: "ms", limit: 50 },
  ];
}

/** The longest time between two frames while the page is scrolled to its end. */
async function longestFrame(page: Page): Promise<number> {
  await page.waitForLoadState("networkidle");
  return page.evaluate(async () => {
    let longest = 0;
    let last = await new Promise<number>(requestAnimationFrame);
    while (window.scrollY + window.innerHeight < document.documentElement.scrollHeight - 1) {
      window.scrollBy(0, 40);
      const now = await new Promise<number>(requestAnimationFrame);
      longest = Math.max(longest, now - last);
      last = now;
    }
    return longest;
  });
}

async function watchedBatch(db: Database): Promise<string> {
  const formulaId = demoFormulas.find(({ name }) => name === "Green Room body wash")?.id ?? "";
  const found = await findVersion(db, workshop.id, { formulaId, number: 1 });
  const formula = found?.version.snapshot;
  if (found === undefined || formula == null) throw new Error("the demo has changed");
  const id = crypto.randomUUID();
  await beginBatch(
    db,
    workshop.id,
    { id, versionId: found.version.id, code: "WATCHED-1", formula, steps: [], vessels: [], coreVersion, entries: [] },
    [],
  );
  await db.execute(
    sql`update batches set started_at = now() - interval '130 days', finished_at = now() - interval '130 days' where id = ${id}`,
  );
  await db.execute(
    sql`insert into planned_checks (id, maker_id, batch_id, storage, title, due_on) values (gen_random_uuid(), ${workshop.id}, ${id}, 'room', '1 week', now() + interval '5 days')`,
  );
  const picture = await sharp({
    create: { width: 1600, height: 1200, channels: 3, background: "#c8a050", noise: { type: "gaussian", mean: 120, sigma: 30 } },
  })
    .jpeg({ quality: 82 })
    .toBuffer();
  for (let at = 0; at < LOOKS; at += 1) {
    const lookedAt = new Date(Date.now() - (130 - at / 4) * 86_400_000);
    const seen = {
      clarity: "clear",
      colour: "",
      smell: "",
      said: "",
      note: "",
      signs: [],
      sedimentMm: null,
      hazePercent: null,
      roomC: null,
    };
    const lab = { labL: 80 - at / 200, labA: 1, labB: 20 };
    await keepCheck(
      db,
      workshop.id,
      {
        ...seen,
        ...lab,
        id: crypto.randomUUID(),
        batchId: id,
        storage: at % 2 === 0 ? "room" : "warm",
        plannedId: null,
        lookedAt,
        ph: 5.2,
        viscosity: 2,
      },
      at % (LOOKS / PHOTOS) === 0 ? { picture, width: 1600, height: 1200 } : null,
    );
  }
  return id;
}
