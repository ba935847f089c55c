import { chromium, type BrowserContext, type Page } from "@playwright/test";
import { coreVersion } from "@tensidrum/core/assessment";
import { planBatch, stepsOf, type BatchEntry, type Step } from "@tensidrum/core/process";
import { listBatchesUnderWay } from "../db/batches/queries.server";
import { addEntries, beginBatch } from "../db/batches/writes.server";
import { openDatabase, type Database } from "../db/client.server";
import { demoFormulas } from "../db/demo/formulas";
import { workshop } from "../db/demo/workshop";
import { findVersion } from "../db/formulas/queries.server";
import playwrightConfig from "../playwright.config";
import { type Measured, quantile } from "./measure";

const STEPS = 60;
const EVENTS = 2_000;
const OPENINGS = 12;
const QUEUED = 200;

/** A long batch, half made, opened in a real browser; and entries that waited on the device arriving. */
export async function benchBatch(address: string, databaseUrl: string): Promise<Measured[]> {
  const { db, close } = openDatabase(databaseUrl);
  const batchId = await longBatch(db);
  await close();
  const page = new URL(`/bench/${batchId}`, address).toString();
  const browser = await chromium.launch(playwrightConfig.use?.launchOptions ?? {});
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const opened = await openingMilliseconds(context, page);
  const loaded = await loadMilliseconds(context, page);
  const arrived = await arrivalMilliseconds(context, page, batchId);
  await browser.close();
  return [
    {
      what: `browser: batch of ${STEPS} steps and ${EVENTS} events, from the list of batches to its step, median`,
      value: quantile(opened, 0.5),
      unit: "ms",
      limit: 300,
    },
    { what: "browser: the same loaded by its address, to the first picture, median", value: quantile(loaded, 0.5), unit: "ms", limit: 300 },
    {
      what: `browser: ${QUEUED} entries that waited, from the first try that gets through to all stored`,
      value: arrived,
      unit: "ms",
      limit: 1_000,
    },
  ];
}

/** A batch of the demo's body wash with stirring between its steps, half of them done, and notes up to so many events. */
async function longBatch(db: Database): Promise<string> {
  const formulaId = demoFormulas.find(({ name }) => name === "Green Room body wash")?.id ?? "";
  const found = await findVersion(db, workshop.id, { formulaId, number: 1 });
  const formula = found?.version.snapshot;
  if (found === undefined || formula == null) throw new Error("the demo has changed");
  const materials = new Map(formula.materials?.map((material) => [material.slug, material]));
  const plan = planBatch(formula, formula.batchGrams, materials);
  const id = crypto.randomUUID();
  const steps = withStirring(plan.steps);
  const code = `LONG-${(await listBatchesUnderWay(db, workshop.id, 100)).length + 1}`;
  const { vessels } = stepsOf(formula, materials);
  await beginBatch(db, workshop.id, { id, versionId: found.version.id, code, formula, steps, vessels, coreVersion, entries: [] }, []);
  const entries: BatchEntry[] = [];
  const add = (entry: object) => entries.push({ ...entry, id: crypto.randomUUID(), at: new Date().toISOString() } as BatchEntry);
  for (const step of steps.slice(0, STEPS / 2)) {
    for (const line of step.lines) add({ kind: "weighed", step: step.id, line, grams: plan.targets.get(line) ?? 0 });
    add({ kind: "done", step: step.id });
  }
  while (entries.length < EVENTS) add({ kind: "noted", step: null, text: `note ${entries.length}` });
  await addEntries(db, workshop.id, id, () => ({ entries, lots: new Map(), filled: [], finishedAt: null }));
  return id;
}

function withStirring(steps: readonly Step[]): readonly Step[] {
  const long: Step[] = [];
  for (const [at, step] of steps.entries()) {
    long.push(step);
    const wanted = Math.round(((at + 1) * STEPS) / steps.length);
    while (long.length < wanted) {
      long.push({
        ...step,
        id: `stir-${long.length}`,
        title: `Stir ${long.length}`,
        lines: [],
        waitMinutes: 0,
        after: [long.at(-1)?.id ?? ""],
      });
    }
  }
  return long;
}

/** From a click on its code in the list of batches to its step being on the screen. */
async function openingMilliseconds(context: BrowserContext, address: string): Promise<readonly number[]> {
  const page = await context.newPage();
  const samples: number[] = [];
  for (let at = 0; at < OPENINGS; at += 1) {
    await page.goto(new URL("/bench", address).toString(), { waitUntil: "networkidle" });
    const link = page.locator(`a[href='${new URL(address).pathname}']`).first();
    await link.waitFor();
    samples.push(
      await link.evaluate(async (element: HTMLElement) => {
        const began = performance.now();
        element.click();
        while (document.querySelector("#step-head") === null) await new Promise(requestAnimationFrame);
        await new Promise(requestAnimationFrame);
        return performance.now() - began;
      }),
    );
  }
  await page.close();
  return samples;
}

/** From asking for the page by its address, as a reload does, to the first picture of it. */
async function loadMilliseconds(context: BrowserContext, address: string): Promise<readonly number[]> {
  const samples: number[] = [];
  for (let at = 0; at < OPENINGS; at += 1) {
    const page = await context.newPage();
    await page.goto(address);
    samples.push(
      await page.evaluate(async () => {
        for (;;) {
          const [paint] = performance.getEntriesByName("first-contentful-paint");
          if (paint !== undefined) return paint.startTime;
          await new Promise(requestAnimationFrame);
        }
      }),
    );
    await page.close();
  }
  return samples;
}

async function arrivalMilliseconds(context: BrowserContext, address: string, batch: string): Promise<number> {
  const page = await context.newPage();
  await page.goto(address);
  await page.evaluate(async (kept) => {
    await navigator.serviceWorker.ready;
    while ((await caches.match(kept, { ignoreVary: true })) === undefined) await new Promise((resolve) => setTimeout(resolve, 50));
  }, address);
  await context.setOffline(true);
  await putIntoQueue(page, batch);
  await page.reload();
  await page.locator(`[data-waiting='${QUEUED}']`).waitFor();
  // A device tries again every few seconds; what is measured begins with the first try that gets through.
  const asked = page.waitForRequest((request) => request.url().endsWith("/entries")).then(() => performance.now());
  await context.setOffline(false);
  const began = await asked;
  await page.locator("[data-waiting='0']").waitFor();
  return performance.now() - began;
}

/** Lays entries into the browser's own database as the bench does without the server. */
async function putIntoQueue(page: Page, batch: string): Promise<void> {
  await page.evaluate(
    async ({ batch: of, count }) => {
      const database = await new Promise<IDBDatabase>((resolve, reject) => {
        const opening = indexedDB.open("tensidrum-bench");
        opening.onsuccess = () => resolve(opening.result);
        opening.onerror = () => reject(new Error("no database"));
      });
      const work = database.transaction("entries", "readwrite");
      for (let at = 0; at < count; at += 1) {
        const entry = { id: crypto.randomUUID(), at: new Date().toISOString(), kind: at % 2 === 0 ? "paused" : "resumed" };
        work.objectStore("entries").put({ id: entry.id, batch: of, entry, position: null, why: null, order: 10_000 + at });
      }
      await new Promise((resolve) => (work.oncomplete = resolve));
      database.close();
    },
    { batch, count: QUEUED },
  );
}
