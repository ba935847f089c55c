import { spawn } from "node:child_process";
import { chmodSync, mkdirSync, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { chromium } from "@playwright/test";
import { browserPath } from "../scripts/browser.mjs";
import { freePort } from "../scripts/cluster.mjs";
import { root } from "../scripts/commands.mjs";
import { run, say } from "../scripts/say.mjs";
import { madeBatch } from "./testing/madeBatch";

const FOLDER = `${root}/docs/screenshots`;
const GREEN_ROOM_BATCH = "/bench/begin/5ea50000-0000-4000-8000-00000000a200/1";
const GREEN_ROOM_REHEARSAL = "/bench/practice/5ea50000-0000-4000-8000-00000000a200/1";
const PRACTICE_KEPT = "tensidrum.practice.practice-5ea50000-0000-4000-8000-00000000a200-1";
const CURTAIN_CALL = "/sheet/5ea50000-0000-4000-8000-00000000c100";

/** @typedef {{ name: string, path: string, width?: number, height?: number, act?: (page: import("@playwright/test").Page) => Promise<void> }} View */

/** @type {readonly View[]} */
const views = [
  { name: "today", path: "/" },
  { name: "sheet", path: CURTAIN_CALL },
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
      await page.getByRole("button", { name: "Adjust the blend" }).click();
      await page.waitForTimeout(3000);
      for (let k = 0; k < 8; k += 1) await page.keyboard.press("ArrowRight");
    },
  },
  {
    name: "filling",
    path: "/fill",
    width: 1024,
    height: 768,
    act: async (page) => {
      await fillOf(page);
      await page.getByLabel(/what the scale shows, g$/).fill("258.4");
      await page.waitForTimeout(450);
      await page.getByLabel(/what the scale shows, g$/).press("Enter");
      await page.getByRole("button", { name: "It works" }).click();
      await page.waitForTimeout(900);
      await page.evaluate("scrollTo(0, 0)");
    },
  },
  {
    name: "label",
    path: "/fill",
    act: async (page) => {
      await fillOf(page);
      await page.getByRole("link", { name: "Labels" }).click();
      await page.getByRole("group", { name: /^Label of/ }).waitFor();
      await page.waitForTimeout(500);
    },
  },
  { name: "shelf", path: "/shelf" },
  { name: "material", path: "/shelf/cocamidopropyl-betaine" },
  { name: "scent", path: "/scents/ca7de3b0-5ff1-8486-aa8f-0b107e4ca350" },
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
      await page.getByText(/^Instruments:/).click();
      await page.getByRole("listitem", { name: "Scale" }).getByRole("button", { name: "simulated" }).click();
      await page.getByText(/^Instruments:/).click();
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
      await page.getByLabel("Yield, g").fill("968");
      await page.getByRole("button", { name: "Close the batch" }).click();
      await page.getByRole("heading", { name: "What happened" }).waitFor();
    },
  },
  tuned("tuning", "pH", { readings: ["7.4", "6.4"], goesIn: "Dosed, start 2:00", grams: "0.82" }),
  tuned("thickness", "Thickness", { readings: ["0.09", "0.24"], goesIn: "Added, start 8:00", grams: "2.90" }),
  {
    name: "steps",
    path: `${CURTAIN_CALL}/2/steps`,
    act: async (page) => {
      const guar = page.getByRole("button", { name: /Spread the cationic guar/ }).last();
      await guar.click();
      await guar.press("Alt+ArrowDown");
      await page.waitForTimeout(400);
    },
  },
  {
    name: "practice-run",
    path: GREEN_ROOM_REHEARSAL,
    act: async (page) => {
      await untilPhRead(page);
      await page.getByRole("button", { name: "Take the reading" }).click();
      const dosed = page.getByRole("button", { name: "Dosed, start 2:00" });
      await dosed.waitFor();
      await page.waitForTimeout(600);
      await page.getByRole("button", { name: "pour half of it" }).first().click();
      await page.waitForTimeout(1_300);
      await dosed.click();
      await page.getByRole("button", { name: /^let .* pass$/ }).click();
      await page.waitForTimeout(4_000);
      await page.getByRole("button", { name: "Take the reading" }).click();
      await sayWhy(page, "measured twice");
      await page.getByRole("img", { name: /^2 readings/ }).waitFor();
      await page.getByRole("button", { name: "The pH is right, next step" }).click();
      await sayWhy(page, "intended");
      await page.getByRole("heading", { name: "Thicken with salt" }).waitFor();
      for (let k = 0; k < 2; k += 1) {
        const pass = page.getByRole("button", { name: /^let .* pass$/ });
        while (await pass.isVisible()) {
          await pass.click();
          await page.waitForTimeout(800);
        }
        await page.getByRole("button", { name: "fill it and let it run" }).first().click();
        await page.getByText("s through the cup, stands").waitFor();
        await page.getByRole("button", { name: "Take the reading" }).click();
        const added = page.getByRole("button", { name: "Added, start 8:00" });
        await page.waitForTimeout(2_500);
        if (!(await added.isVisible())) break;
        await page.getByRole("button", { name: "pour what is missing" }).first().click();
        await page.waitForTimeout(1_300);
        await added.click();
        await page.waitForTimeout(500);
      }
      await page.getByRole("button", { name: "end it and show the truth" }).click();
      await page.getByLabel("Score of 100").waitFor();
    },
  },
  { name: "difference", path: `${CURTAIN_CALL}/difference` },
  { name: "weighing", path: "/weighing/5ea50000-0000-4000-8000-00000000c100/2" },
];

/**
 * A batch brought to where something is read, and read twice.
 * @param {string} name
 * @param {string} label of the field that is read into
 * @param {Parameters<typeof readTwice>[2]} what
 * @returns {View}
 */
function tuned(name, label, what) {
  return {
    name,
    path: `${GREEN_ROOM_BATCH}?grams=400`,
    act: async (page) => {
      await beginBatch(page);
      const field = page.getByLabel(label, { exact: true });
      await makeTheRest(page, () => field.isVisible());
      await readTwice(page, field, what);
      await page.evaluate("scrollTo(0, 0)");
    },
  };
}

/**
 * Two readings with an addition in between.
 * @param {import("@playwright/test").Page} page
 * @param {import("@playwright/test").Locator} field
 * @param {{ readings: readonly [string, string], goesIn: string, grams: string }} what
 */
async function readTwice(page, field, { readings, goesIn, grams }) {
  for (const reading of readings) {
    await field.fill(reading);
    await page.getByRole("button", { name: "Take the reading" }).click();
    const entered = page.getByRole("button", { name: goesIn });
    const answer = page.getByRole("button", { name: "trial", exact: true });
    await entered.or(answer).first().waitFor();
    await sayWhy(page, "trial");
    await entered.waitFor();
    await page.waitForTimeout(450);
    if (reading === readings[0]) {
      await page.getByLabel(/^Really added/).fill(grams);
      await entered.click();
      await sayWhy(page, "trial");
    }
    await page.waitForTimeout(450);
  }
}

/** Answers what is asked, where something is. @param {import("@playwright/test").Page} page @param {string} reason */
async function sayWhy(page, reason) {
  await page.waitForTimeout(300);
  const answer = page.getByRole("button", { name: reason, exact: true });
  if (await answer.isVisible()) await answer.click();
}

/** A dry run poured up to its pH, with the probe in the sample until it stands. @param {import("@playwright/test").Page} page */
async function untilPhRead(page) {
  // The same hidden batch each time.
  const kept = JSON.stringify({ seed: "lakeside", entries: [], aheadMilliseconds: 0, isOver: false });
  await page.evaluate(`localStorage.setItem("${PRACTICE_KEPT}", ${JSON.stringify(kept)})`);
  await page.reload();
  await page.getByRole("button", { name: "pour it all for me" }).click();
  await page.getByRole("button", { name: "dip into the sample" }).first().click();
  await page.getByText("pH, 22 °C, stands").waitFor();
}

/** A batch that was made elsewhere, planned into pump bottles and one jar to keep. @param {import("@playwright/test").Page} page */
async function fillOf(page) {
  const batch = await madeBatch(page, GREEN_ROOM_BATCH, 580.8);
  await page.goto(new URL(`/fill/${batch}`, page.url()).href);
  await page.getByLabel("How many of Pump bottle, tall").fill("2");
  await page.getByRole("button", { name: "Fill by this plan" }).click();
  await page.getByLabel(/what the scale shows, g$/).waitFor();
}

/** Begins the batch with everything ticked and stands before its first weight. @param {import("@playwright/test").Page} page */
async function beginBatch(page) {
  for (const box of await page.getByRole("checkbox").all()) await box.check();
  await page.getByRole("button", { name: /^Begin (the|another) batch$/ }).click();
  await page.getByRole("button", { name: "Done, next step" }).click();
  await page.getByRole("button", { name: "Record weight" }).waitFor();
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
    if (await page.getByText("Thickening moves the pH").isVisible()) {
      await page.getByLabel("pH", { exact: true }).fill("5.04");
      await page.getByRole("button", { name: "Take the reading" }).click();
      await page.waitForTimeout(1_500);
    } else if (await isRight.isVisible()) {
      if (await page.getByLabel("pH", { exact: true }).isVisible()) {
        await page.getByLabel("pH", { exact: true }).fill("5.02");
        await page.getByRole("button", { name: "Take the reading" }).click();
        await page.waitForTimeout(1_500);
      }
      await isRight.click();
      await sayWhy(page, "trial");
    } else if (await weight.isVisible()) {
      await weight.fill((await page.locator("main data").first().textContent()) ?? "");
      await weight.press("Enter");
    } else {
      await page
        .getByRole("button", { name: /Done, next step|Go on anyway|^Finish/ })
        .first()
        .click();
      await sayWhy(page, "it has rested enough");
    }
    await page.waitForTimeout(100);
  }
}

/** @param {number} port */
async function takePictures(port) {
  const browser = await chromium.launch({
    executablePath: browserPath(),
    args: ["--no-sandbox", "--disable-gpu"],
  });
  try {
    mkdirSync(FOLDER, { recursive: true });
    for (const { name, path, width = 1280, height = 800, act } of views) {
      const page = await browser.newPage({ baseURL: `http://127.0.0.1:${port}`, viewport: { width, height }, reducedMotion: "reduce" });
      await page.goto(path, { waitUntil: "networkidle" });
      await act?.(page);
      await page.waitForTimeout(400);
      await page.screenshot({ path: `${FOLDER}/${name}.png` });
      await page.close();
      say(`docs/screenshots/${name}.png`);
    }
  } finally {
    await browser.close();
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
  const ended = new Promise((resolve) => application.on("exit", resolve));
  try {
    await new Promise((resolve) => application.stdout.on("data", (chunk) => String(chunk).includes("is ready at") && resolve(undefined)));
    await takePictures(port);
  } finally {
    application.kill("SIGTERM");
    await ended;
    rmSync(data, { recursive: true, force: true });
  }
});
