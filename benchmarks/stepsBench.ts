import { chromium } from "@playwright/test";
import type { Formula, OwnProcess } from "@tensidrum/core/formula";
import { processOf, stepsOf, suggestedSteps } from "@tensidrum/core/process";
import { referenceLibrary } from "@tensidrum/core/reference";
import playwrightConfig from "../playwright.config";
import { sheetOfLines } from "./coreBench";
import { FRAME_LIMIT, framesWhile } from "./frames";
import { type Measured, quantile, timed } from "./measure";

const library = new Map(referenceLibrary.map((material) => [material.slug, material]));
const EDITS = 20;
const MOVES = 90;
/** Twenty changes of the maker's: words, clocks, an order of their own, and a part of a line. */
function edited(formula: Formula): OwnProcess {
  const { steps } = processOf(suggestedSteps(formula, library));
  const moved = steps.toSpliced(1, 1).toSpliced(3, 0, steps[1]!);
  return {
    portions: [{ id: "part", of: "water", percentOfLine: 20 }],
    steps: moved.map((step, at) =>
      at >= EDITS - 2 ? step : { ...step, title: `Step ${at}`, waitMinutes: at, lines: at === 2 ? [...step.lines, "part"] : step.lines },
    ),
  };
}

/** The steps of 40 lines with 20 changes, and a step that is dragged over the others in the browser. */
export async function benchSteps(sheet: string): Promise<Measured[]> {
  const formula = sheetOfLines(40);
  const own: Formula = { ...formula, process: edited(formula) };
  return [
    timed("core: steps of 40 lines with 20 edits", () => stepsOf(own, library), { blocks: 40, callsPerBlock: 20, limit: 2 }),
    ...(await dragged(sheet)),
  ];
}

async function dragged(sheet: string): Promise<Measured[]> {
  const browser = await chromium.launch(playwrightConfig.use?.launchOptions ?? {});
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${sheet}/1/steps`, { waitUntil: "networkidle" });
  const grip = await page
    .getByRole("button", { name: /^Move / })
    .nth(2)
    .boundingBox();
  if (grip === null) throw new Error("The steps page has no step to drag");
  const [x, y] = [grip.x + grip.width / 2, grip.y + grip.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x, y + 10);
  const frames = await framesWhile(page, async () => {
    for (let move = 1; move <= MOVES; move += 1) await page.mouse.move(x, y + 10 + ((move * 4) % 360));
  });
  await page.mouse.up();
  await browser.close();
  return [
    {
      what: `browser: a frame while a step is dragged, median of ${frames.length}`,
      value: quantile(frames, 0.5),
      unit: "ms",
      limit: FRAME_LIMIT,
    },
    { what: "browser: a frame while a step is dragged, 95th percentile", value: quantile(frames, 0.95), unit: "ms", limit: null },
  ];
}
