import { spawn } from "node:child_process";
import { chmodSync, mkdirSync, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { chromium } from "@playwright/test";
import { freePort } from "./cluster.mjs";
import { root } from "./commands.mjs";
import { run, say } from "./say.mjs";

const FOLDER = `${root}/docs/screenshots`;
const GREEN_ROOM_BATCH = "/bench/begin/5ea50000-0000-4000-8000-00000000a200/1";
const CURTAIN_CALL = "/sheet/5ea50000-0000-4000-8000-00000000c100";

/** @typedef {{ name: string, path: string, width?: number, height?: number, dim?: boolean, act?: (page: import("@playwright/test").Page) => Promise<void> }} View */

/** @type {readonly View[]} */
const views = [
  { name: "today", path: "/" },
  { name: "sheet", path: CURTAIN_CALL },
  { name: "sheet-dim", path: CURTAIN_CALL, width: 1024, height: 768, dim: true },
  {
    name: "sheet-phone",
    path: CURTAIN_CALL,
    width: 390,
    height: 844,
    act: (page) => page.mouse.wheel(0, 500),
  },
  {
    name: "triangle",
    path: CURTAIN_CALL,
    act: async (page) => {
      await page.getByRole("button", { name: "Move the balance" }).click();
      await page.waitForTimeout(3000);
      for (let k = 0; k < 8; k += 1) await page.keyboard.press("ArrowRight");
    },
  },
  { name: "card", path: `${CURTAIN_CALL}/2/card` },
  { name: "shelf", path: "/shelf" },
  { name: "material", path: "/shelf/cocamidopropyl-betaine" },
  { name: "stock-solution", path: "/shelf/make/solution?of=citric-acid-anhydrous&strength=10" },
  { name: "scent", path: "/scents/ca7de3b0-5ff1-8486-aa8f-0b107e4ca350" },
  { name: "settings", path: "/settings" },
  { name: "bench-before", path: "/bench/begin/5ea50000-0000-4000-8000-00000000c100/1" },
  {
    name: "bench-step",
    path: GREEN_ROOM_BATCH,
    act: async (page) => {
      await beginBatch(page);
      await page.getByText("Clock", { exact: true }).click();
      await page.getByLabel("minutes").fill("12");
      await page.getByLabel("what for").fill("glucoside in the bath, 40 °C");
      await page.getByRole("button", { name: "Start the clock" }).click();
      await page.waitForTimeout(450);
      await page.getByRole("button", { name: "take the simulated scale" }).click();
      await page.getByRole("button", { name: "Tare", exact: true }).click();
      await page.getByRole("button", { name: "pour half of it" }).click();
      await page.waitForTimeout(1200);
      await page.evaluate("scrollTo(0, 0)");
    },
  },
  {
    name: "bench-tablet",
    path: GREEN_ROOM_BATCH,
    width: 1024,
    height: 768,
    act: async (page) => {
      await beginBatch(page);
      await page.getByLabel(/what the scale shows/).fill("551.2");
      await page.getByRole("button", { name: "Accept anyway" }).click();
      await page.getByRole("button", { name: "Keep it" }).waitFor();
    },
  },
  {
    name: "record",
    path: GREEN_ROOM_BATCH,
    act: async (page) => {
      await beginBatch(page);
      await makeTheRest(page);
      await page.getByLabel("What came out, g").fill("968");
      await page.getByRole("button", { name: "Close the batch" }).click();
      await page.getByRole("heading", { name: "What happened" }).waitFor();
    },
  },
  {
    name: "tuning",
    path: GREEN_ROOM_BATCH,
    act: async (page) => {
      await beginBatch(page);
      const ph = page.getByLabel("pH", { exact: true });
      await makeTheRest(page, () => ph.isVisible());
      for (const reading of ["7.4", "6.4"]) {
        await ph.fill(reading);
        await page.getByRole("button", { name: "Take the reading" }).click();
        await page.getByRole("button", { name: "Dosed, start 2:00" }).waitFor();
        await page.waitForTimeout(450);
        if (reading === "7.4") await page.getByRole("button", { name: "Dosed, start 2:00" }).click();
        await page.waitForTimeout(450);
      }
      await page.evaluate("scrollTo(0, 0)");
    },
  },
  { name: "difference", path: `${CURTAIN_CALL}/difference` },
  { name: "weighing", path: "/weighing/5ea50000-0000-4000-8000-00000000c100/2" },
  {
    name: "sheet-empty",
    path: "/",
    act: async (page) => {
      await page.getByRole("button", { name: "New formula" }).click();
      await page.getByRole("button", { name: "Move Distilled or deionised water" }).waitFor();
      await page.getByRole("button", { name: "Take this skeleton" }).waitFor();
    },
  },
];

/** Begins the batch with everything ticked and stands before its first weight. @param {import("@playwright/test").Page} page */
async function beginBatch(page) {
  for (const box of await page.getByRole("checkbox").all()) await box.check();
  await page.getByRole("button", { name: "Begin the batch" }).click();
  await page.getByRole("button", { name: "Done, next step" }).click();
  await page.getByRole("button", { name: "Take the weight" }).waitFor();
}

/**
 * Every line at its target, every step done, no rest waited for.
 * @param {import("@playwright/test").Page} page
 * @param {() => Promise<boolean>} isThere by default all steps are through
 */
async function makeTheRest(page, isThere = () => page.getByRole("button", { name: "Close the batch" }).isVisible()) {
  const weight = page.getByLabel(/what the scale shows/);
  while (!(await isThere())) {
    await page.waitForTimeout(450);
    if (await isThere()) return;
    const isRight = page.getByRole("button", { name: /The pH is right, next step|Thick enough, next step/ });
    if (await isRight.isVisible()) {
      if (await page.getByLabel("pH", { exact: true }).isVisible()) {
        await page.getByLabel("pH", { exact: true }).fill("5.02");
        await page.getByRole("button", { name: "Take the reading" }).click();
        await page.waitForTimeout(1_500);
      }
      await isRight.click();
      if (await isRight.isVisible()) await isRight.click();
    } else if (await weight.isVisible()) {
      await weight.fill((await page.locator("main data").first().textContent()) ?? "");
      await weight.press("Enter");
    } else {
      await page
        .getByRole("button", { name: /Done, next step|Go on anyway/ })
        .first()
        .click();
    }
    await page.waitForTimeout(100);
  }
}

/** Takes a current picture of every main view, made from the demo data. */
await run(async () => {
  const data = mkdtempSync(`${tmpdir()}/tensidrum-pictures-`);
  chmodSync(data, 0o711);
  const port = await freePort();
  const application = spawn(process.execPath, [`${root}/bin/start`, "--port", String(port)], {
    env: { ...process.env, TENSIDRUM_DATA: data },
    stdio: ["ignore", "pipe", "inherit"],
  });
  await new Promise((resolve) => application.stdout.on("data", (chunk) => String(chunk).includes("is ready at") && resolve(undefined)));
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? "/usr/bin/chromium",
    args: ["--no-sandbox", "--disable-gpu"],
  });
  mkdirSync(FOLDER, { recursive: true });
  for (const { name, path, width = 1280, height = 800, dim = false, act } of views) {
    const page = await browser.newPage({ viewport: { width, height }, colorScheme: dim ? "dark" : "light", reducedMotion: "reduce" });
    await page.goto(`http://127.0.0.1:${port}${path}`, { waitUntil: "networkidle" });
    await act?.(page);
    await page.waitForTimeout(400);
    await page.screenshot({ path: `${FOLDER}/${name}.png` });
    await page.close();
    say(`docs/screenshots/${name}.png`);
  }
  await browser.close();
  application.kill("SIGTERM");
  await new Promise((resolve) => application.on("exit", resolve));
  rmSync(data, { recursive: true, force: true });
});
