import { chromium, type BrowserContext, type Page } from "@playwright/test";
import { beginBatch, GREEN_ROOM_BATCH } from "../e2e/testing/atTheBench";
import { fakeSerial } from "../e2e/testing/fakeSerial";
import { pourByServer } from "../e2e/testing/pourByServer";
import playwrightConfig from "../playwright.config";
import { type Measured, quantile } from "./measure";

const SLOW_DOWN = 4;
const READINGS_PER_SECOND = 20;
const STREAM_SECONDS = 10;
/** Advice that has not come by then does not come. */
const LONGEST_MILLISECONDS = 10_000;
const HAND_MILLISECONDS = 600;
/** Of a batch that answers its doses: each takes less than the one before. */
const READINGS = ["7.41", "6.8", "6.2", "5.7"];

/** A stream of readings at a slow tablet, and how long a maker waits for the next dose. */
export async function benchInstruments(address: string): Promise<Measured[]> {
  const browser = await chromium.launch(playwrightConfig.use?.launchOptions ?? {});
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, baseURL: address });
  const frames = await streamFrames(context);
  const advice = await adviceMilliseconds(context);
  await browser.close();
  const stream = `browser: ${READINGS_PER_SECOND} readings a second on a scale, ${SLOW_DOWN} times slower, frame`;
  return [
    { what: `${stream}, 95th percentile of ${frames.length}`, value: quantile(frames, 0.95), unit: "ms", limit: 25 },
    { what: `${stream}, longest`, value: Math.max(...frames), unit: "ms", limit: 50 },
    {
      what: `browser: advice on the screen after a pH reading is taken, 0.6 s after its last digit, median of ${advice.length}`,
      value: quantile(advice, 0.5),
      unit: "ms",
      limit: 200,
    },
  ];
}

/** Milliseconds between the frames while a scale on a cable sends a growing weight. */
async function streamFrames(context: BrowserContext): Promise<readonly number[]> {
  const page = await context.newPage();
  await page.addInitScript(fakeSerial);
  await beginBatch(page, GREEN_ROOM_BATCH);
  await page.getByRole("button", { name: "Done, next step" }).click();
  await page.getByLabel(/what the scale shows, g$/).waitFor();
  await page.getByText(/^Instruments:/).click();
  await page.getByRole("listitem", { name: "Scale" }).getByRole("button", { name: "on a cable" }).click();
  await page.getByText(/^Instruments:/).click();
  const devtools = await context.newCDPSession(page);
  await devtools.send("Emulation.setCPUThrottlingRate", { rate: SLOW_DOWN });
  const frames = await page.evaluate(
    async ({ perSecond, seconds }) => {
      const { play } = window as unknown as { play(text: string): void };
      let grams = 0;
      const timer = setInterval(() => play(`U ${(grams += 0.13).toFixed(2)} g\r\n`), 1_000 / perSecond);
      const samples: number[] = [];
      let before = await new Promise<number>(requestAnimationFrame);
      const end = before + seconds * 1_000;
      while (before < end) {
        const now = await new Promise<number>(requestAnimationFrame);
        samples.push(now - before);
        before = now;
      }
      clearInterval(timer);
      return samples;
    },
    { perSecond: READINGS_PER_SECOND, seconds: STREAM_SECONDS },
  );
  await page.close();
  return frames;
}

/** From the press that takes a reading to its advice. */
async function adviceMilliseconds(context: BrowserContext): Promise<readonly number[]> {
  const page = await context.newPage();
  await pourByServer(page, await beginBatch(page, GREEN_ROOM_BATCH));
  const samples: number[] = [];
  for (const reading of READINGS) {
    await page.getByLabel("pH", { exact: true }).fill(reading);
    // A hand takes a moment from the last digit to the button.
    await page.waitForTimeout(HAND_MILLISECONDS);
    samples.push(await pressToAdvice(page));
    await page.waitForTimeout(500);
    await page.getByRole("button", { name: "Dosed, start 2:00" }).click();
    await page.getByRole("button", { name: /^End the clock: After/ }).click();
    await page.waitForTimeout(500);
  }
  await page.close();
  return samples;
}

async function pressToAdvice(page: Page): Promise<number> {
  return page.getByRole("button", { name: "Take the reading" }).evaluate(async (button: HTMLElement, longest) => {
    const began = performance.now();
    button.click();
    while (document.querySelector("output[aria-label^='Add, g of']") === null) {
      await new Promise(requestAnimationFrame);
      if (performance.now() - began > longest) throw new Error(`no advice came: ${document.querySelector("main")?.innerText ?? ""}`);
    }
    return performance.now() - began;
  }, LONGEST_MILLISECONDS);
}
