import { chromium } from "@playwright/test";
import { questionOf, search, type DesignAsk, type OnShelf } from "@tensidrum/core/design";
import { loadLinearSolver } from "@tensidrum/core/numerics";
import { referenceLibrary } from "@tensidrum/core/reference";
import { curtainCall } from "../db/demo/season";
import playwrightConfig from "../playwright.config";
import { FRAME_LIMIT, framesWhile } from "./frames";
import { type Measured, quantile } from "./measure";

const library = new Map(referenceLibrary.map((material) => [material.slug, material]));

/** Twelve surfactants of a well-kept shelf. */
const SHELF = [
  ...["sles-2eo-28", "aos-40", "smct-liquid", "sodium-cocoyl-glutamate", "sodium-lauroyl-sarcosinate", "slsa-powder"],
  ...["cocamidopropyl-betaine", "coco-betaine", "sodium-cocoamphoacetate", "decyl-glucoside", "coco-glucoside", "lauryl-glucoside"],
];
const MOST_BOXES = 3_000_000;

/** Prices that go up and down from one to the next, so that no kind is the cheap one. */
const shelfOf = (slugs: readonly string[]): ReadonlyMap<string, OnShelf> =>
  new Map(slugs.map((slug, at) => [slug, { grams: 5_000, price: 0.004 + 0.003 * ((at * 7) % 5), assayPercent: null }]));

function askOf(slugs: readonly string[], most: number): DesignAsk {
  return {
    formula: {
      ...{
        format: "tensidrum-formula/1",
        name: "Green Room body wash",
        profile: "body-wash",
        batchGrams: 1000,
        scales: [],
        phases: [{ id: "A" }],
      },
      lines: [
        { id: "w", phase: "A", material: "water-distilled", qs: true },
        { id: "g", phase: "A", material: "glycerin", percent: 3 },
      ],
    },
    wishes: {
      ...{ against: "cost", activePercent: { low: 9, high: 15 }, mostIrritation: null, leastFlash: 5, leastStability: 5 },
      ...{ thickening: "any", mostCost: null, mostSaltPercent: null, mostAnionicPercent: 75, count: { low: 2, high: most }, mustHave: [] },
    },
    ...{ shelf: shelfOf(slugs), onlyShelf: true, mustNot: [], preservative: null, coldOnly: false },
  };
}

/** The library up to four is looked at for so long, s; then it tells how much better what is left could be. */
const BEST_EFFORT_SECONDS = 60;
/** The page is watched for so long while it searches, ms. */
const WATCHED_MILLISECONDS = 8_000;

/** Time until a first frontier is there and until it is proved, what is left after a minute, and the frames of the page meanwhile. */
export async function benchDesign(address: string): Promise<Measured[]> {
  const solver = await loadLinearSolver();
  const all = [...library.values()]
    .filter(({ countsAsActive, parts }) => countsAsActive === true && parts === undefined)
    .map(({ slug }) => slug);
  const run = (slugs: readonly string[], most: number) => {
    const began = performance.now();
    const { candidates, wishes, rest } = questionOf(askOf(slugs, most), library);
    const steps = search(candidates, wishes, rest, { mostBoxes: MOST_BOXES, perReport: 100_000_000 }, solver);
    const first = steps.next();
    const firstSeconds = (performance.now() - began) / 1000;
    let last = first;
    while (last.done !== true) last = steps.next();
    if (!last.value.isProved) throw new Error(`The search over ${candidates.length} surfactants came to no end`);
    return { firstSeconds, provedSeconds: (performance.now() - began) / 1000, candidates: candidates.length };
  };
  const effort = () => {
    const { candidates, wishes, rest } = questionOf(askOf(all, 4), library);
    const began = performance.now();
    for (const state of search(candidates, wishes, rest, { mostBoxes: MOST_BOXES, perReport: 2_000 }, solver)) {
      if (performance.now() - began > 1000 * BEST_EFFORT_SECONDS) return 100 * state.gap;
    }
    return 0;
  };
  const shelf = run(SHELF, 4);
  const whole = run(all, 3);
  return [
    { what: `design: first frontier of ${shelf.candidates}, up to 4`, value: shelf.firstSeconds, unit: "s", limit: 1 },
    { what: `design: ${shelf.candidates} surfactants, up to 4, proved`, value: shelf.provedSeconds, unit: "s", limit: 10 },
    { what: `design: ${whole.candidates} of the library, up to 3, proved`, value: whole.provedSeconds, unit: "s", limit: 60 },
    { what: `design: the library, up to 4, what could be better after ${BEST_EFFORT_SECONDS} s`, value: effort(), unit: "%", limit: null },
    ...(await framesOfSearch(address)),
  ];
}

async function framesOfSearch(address: string): Promise<Measured[]> {
  const browser = await chromium.launch(playwrightConfig.use?.launchOptions ?? {});
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${address}/designer/${curtainCall.id}?shelf=all&against=foam&countHigh=4`, { waitUntil: "networkidle" });
  const stop = page.getByRole("button", { name: "Stop here" });
  await stop.waitFor();
  const frames = await framesWhile(page, async () => page.waitForTimeout(WATCHED_MILLISECONDS));
  if (!(await stop.isVisible())) throw new Error("The search was over before its frames were counted");
  await browser.close();
  return [
    {
      what: `browser: a frame while blends are searched, median of ${frames.length}`,
      value: quantile(frames, 0.5),
      unit: "ms",
      limit: FRAME_LIMIT,
    },
    { what: "browser: a frame while blends are searched, 95th percentile", value: quantile(frames, 0.95), unit: "ms", limit: null },
  ];
}
