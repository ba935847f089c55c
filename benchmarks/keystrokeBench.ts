import { chromium, type Page } from "@playwright/test";
import playwrightConfig from "../playwright.config";
import { type Measured, quantile } from "./measure";
import { workAfter } from "./trace";

const KEYS = 140;
const WARM_UP = 20;
/** Shorter than the quiet half second after which the sheet saves itself. */
const PAUSE_MILLISECONDS = 100;
/** Main-thread work of every keystroke in a percent cell, from a Chromium trace. */
export async function benchKeystrokes(sheet: string, traceFile: string): Promise<Measured[]> {
  const browser = await chromium.launch(playwrightConfig.use?.launchOptions ?? {});
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(sheet, { waitUntil: "networkidle" });
  await keepTriangleWorking(page);
  const cell = page.locator("input[data-percent-of]").nth(10);
  await cell.fill("");
  await browser.startTracing(page, { path: traceFile, categories: ["devtools.timeline"] });
  for (let i = 0; i < KEYS; i += 1) {
    await page.keyboard.press(i % 2 === 0 ? String((i % 8) + 1) : "Backspace");
    await page.waitForTimeout(PAUSE_MILLISECONDS);
  }
  await browser.stopTracing();
  await browser.close();
  const samples = workAfter("keydown", traceFile).slice(WARM_UP);
  return [
    { what: `browser: keystroke on 40 lines, median of ${samples.length}`, value: quantile(samples, 0.5), unit: "ms", limit: 8 },
    { what: "browser: keystroke on 40 lines, 95th percentile", value: quantile(samples, 0.95), unit: "ms", limit: 16 },
  ];
}

/**
 * Keeps the worker of the blend triangle busy beside the page: the task the page gave it when the triangle was opened is
 * given again as soon as it is done.
 */
async function keepTriangleWorking(page: Page): Promise<void> {
  await page.evaluate(() => {
    const send = Worker.prototype.postMessage;
    Worker.prototype.postMessage = function (this: Worker, task: unknown) {
      Worker.prototype.postMessage = send;
      const finest = (task as { steps: readonly number[] }).steps.at(-1) ?? 70;
      this.terminate = () => undefined;
      this.addEventListener("message", ({ data }: MessageEvent<{ steps: number }>) => {
        if (data.steps === finest) send.call(this, task);
      });
      send.call(this, task);
    };
  });
  await page.getByRole("button", { name: "Adjust the blend" }).click();
  await page.getByRole("application").waitFor();
  await page.locator("path[class*=band]").first().waitFor({ state: "attached" });
  await page.keyboard.press("Escape");
}
