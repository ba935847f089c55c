import { readFileSync } from "node:fs";
import { chromium } from "@playwright/test";
import playwrightConfig from "../playwright.config";
import { type Measured, quantile } from "./measure";

interface TraceEvent {
  readonly name: string;
  readonly ph: string;
  readonly ts: number;
  readonly dur?: number;
  readonly pid: number;
  readonly tid: number;
  readonly args?: { readonly name?: string };
}

const KEYS = 120;
const WARM_UP = 20;
/** Shorter than the quiet half second after which the sheet saves itself. */
const PAUSE_MILLISECONDS = 90;
const MARK = "tensidrum-key-";

/** Main-thread time of every keystroke in a percent cell: scripting, style, layout and paint, from a Chromium trace. */
export async function benchKeystrokes(sheet: string, traceFile: string): Promise<Measured[]> {
  const browser = await chromium.launch(playwrightConfig.use?.launchOptions ?? {});
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(sheet, { waitUntil: "networkidle" });
  const cell = page.locator("input[data-percent-of]").nth(10);
  await cell.fill("");
  await browser.startTracing(page, {
    path: traceFile,
    categories: ["devtools.timeline", "blink.user_timing", "toplevel", "disabled-by-default-devtools.timeline"],
  });
  for (let i = 0; i < KEYS; i += 1) {
    await page.evaluate((name) => performance.mark(name), `${MARK}${i}`);
    await page.keyboard.press(i % 4 === 3 ? "Backspace" : String((i % 8) + 1).slice(0, 1));
    if (i % 4 === 3) await page.keyboard.press("Backspace");
    await page.waitForTimeout(PAUSE_MILLISECONDS);
  }
  await page.evaluate((name) => performance.mark(name), `${MARK}${KEYS}`);
  await browser.stopTracing();
  await browser.close();
  const samples = perKey((JSON.parse(readFileSync(traceFile, "utf8")) as { traceEvents: TraceEvent[] }).traceEvents).slice(WARM_UP);
  return [
    { what: `browser: keystroke on 40 lines, median of ${samples.length}`, value: quantile(samples, 0.5), unit: "ms", limit: 8 },
    { what: "browser: keystroke on 40 lines, 95th percentile", value: quantile(samples, 0.95), unit: "ms", limit: 16 },
  ];
}

/** Everything the page's main thread did between one key and the next, ms. */
function perKey(events: readonly TraceEvent[]): number[] {
  const marks = events.filter((event) => event.name.startsWith(MARK)).sort((a, b) => a.ts - b.ts);
  const first = marks[0];
  if (first === undefined) throw new Error("The trace holds no keystroke");
  const tasks = events.filter(
    (event) =>
      event.pid === first.pid &&
      event.tid === first.tid &&
      event.dur !== undefined &&
      /RunTask$/.test(event.name) &&
      event.name.startsWith("ThreadControllerImpl"),
  );
  return marks.slice(0, -1).map((mark, i) => {
    const until = marks[i + 1]?.ts ?? Infinity;
    return tasks.filter((task) => task.ts >= mark.ts && task.ts < until).reduce((sum, task) => sum + (task.dur ?? 0), 0) / 1000;
  });
}
