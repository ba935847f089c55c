import { chromium } from "@playwright/test";
import { loadLinearSolver } from "@tensidrum/core/numerics";
import { referenceLibrary } from "@tensidrum/core/reference";
import { unmixing, usualAmounts } from "@tensidrum/core/stability";
import playwrightConfig from "../playwright.config";
import { makeFormula } from "./benchFormula";
import { millisecondsPerCall, type Measured, quantile } from "./measure";

const [SUBJECTS, LINES, NAMES, OPENINGS] = [6, 40, 40, 12];

/** Six formulas side by side, and a long printed list. */
export async function benchCompare(address: string): Promise<Measured[]> {
  const library = new Map(referenceLibrary.map((material) => [material.slug, material]));
  const usual = usualAmounts(library);
  const solver = await loadLinearSolver();
  const names = ["Aqua", ...new Set(referenceLibrary.flatMap(({ inci }) => inci?.[0]?.name ?? []))].filter(
    (name, at) => at === 0 || name !== "Aqua",
  );
  const list = { ingredients: names.slice(0, NAMES).map((name) => ({ name })), onePercentLineAfter: 12 };
  const ranges = millisecondsPerCall(() => unmixing(list, usual, solver).next(), { blocks: 7, callsPerBlock: 1 });
  const whole = millisecondsPerCall(() => [...unmixing(list, usual, solver)].length, { blocks: 5, callsPerBlock: 1 });
  const sheets: string[] = [];
  for (let at = 0; at < SUBJECTS; at += 1) sheets.push(await makeFormula(address, LINES));
  const query = sheets.map((sheet) => `of=v:${new URL(sheet, address).pathname.split("/")[2] ?? ""}:1`).join("&");
  const browser = await chromium.launch(playwrightConfig.use?.launchOptions ?? {});
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const opened: number[] = [];
  for (let at = 0; at < OPENINGS; at += 1) {
    await page.goto(new URL(`/compare?${query}`, address).toString(), { waitUntil: "networkidle" });
    for (const value of query.split("&")) await page.locator(`input[value="${value.slice(3)}"]`).check();
    opened.push(
      await page.getByRole("button", { name: "Side by side" }).evaluate(async (button: HTMLElement) => {
        const began = performance.now();
        button.click();
        while (document.querySelector("table thead th[scope=col] small") === null || !location.pathname.endsWith("/side")) {
          await new Promise(requestAnimationFrame);
        }
        await new Promise(requestAnimationFrame);
        return performance.now() - began;
      }),
    );
  }
  await browser.close();
  return [
    {
      what: `browser: ${SUBJECTS} formulas of ${LINES} lines side by side, from click to picture, median`,
      value: quantile(opened, 0.5),
      unit: "ms",
      limit: 200,
    },
    { what: `core: ranges of a printed list of ${NAMES} names, and a coarse middle`, value: ranges, unit: "ms", limit: 100 },
    { what: "core: the same until its chains agree", value: whole, unit: "ms", limit: 2_000 },
  ];
}
