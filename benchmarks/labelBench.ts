import { chromium } from "@playwright/test";
import { GREEN_ROOM_BATCH } from "../e2e/testing/atTheBench";
import { madeBatch } from "../e2e/testing/madeBatch";
import playwrightConfig from "../playwright.config";
import { quantile, type Measured } from "./measure";
import { workAfter } from "./trace";

const MOVES = 120;
const WARM_UP = 20;
const PAUSE_MILLISECONDS = 90;
/** Of 60 in a second. */
const FRAME_MILLISECONDS = 1_000 / 60;

/** Main-thread work of every move while the list of ingredients is dragged over a label, from a Chromium trace. */
export async function benchLabel(address: string, traceFile: string): Promise<Measured[]> {
  const browser = await chromium.launch(playwrightConfig.use?.launchOptions ?? {});
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, baseURL: address });
  const batch = await madeBatch(page, GREEN_ROOM_BATCH, 600);
  await page.goto(`/fill/${batch}/label?template=wrap`, { waitUntil: "networkidle" });
  const box = page.getByRole("button", { name: /^ingredients,/ });
  const { x, y, width, height } = (await box.boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 };
  const [left, top] = [x + width / 2, y + height / 2];
  await page.mouse.move(left, top);
  await page.mouse.down();
  await browser.startTracing(page, { path: traceFile, categories: ["devtools.timeline"] });
  for (let at = 0; at < MOVES; at += 1) {
    await page.mouse.move(left + 30 * Math.sin(at), top + 15 * Math.cos(at));
    await page.waitForTimeout(PAUSE_MILLISECONDS);
  }
  await browser.stopTracing();
  await page.mouse.up();
  await browser.close();
  const samples = workAfter("pointermove", traceFile).slice(WARM_UP);
  return [
    {
      what: `browser: a move while a label is dragged, 95th percentile of ${samples.length}`,
      value: quantile(samples, 0.95),
      unit: "ms",
      limit: FRAME_MILLISECONDS,
    },
  ];
}
