import { spawn } from "node:child_process";
import { chmodSync, mkdirSync, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { chromium } from "@playwright/test";
import { browserPath } from "../scripts/browser.mjs";
import { freePort } from "../scripts/cluster.mjs";
import { root } from "../scripts/commands.mjs";
import { run, say } from "../scripts/say.mjs";
import { madeBatch } from "./testing/madeBatch";
import { lookAt, madeEarlier } from "./testing/watchOver";

const FOLDER = `${root}/docs/screenshots`;
const GREEN_ROOM_BATCH = "/bench/begin/5ea50000-0000-4000-8000-00000000a200/1";
const CURTAIN_CALL = "/sheet/5ea50000-0000-4000-8000-00000000c100";

const data = mkdtempSync(`${tmpdir()}/tensidrum-pictures-`);

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
    name: "designer",
    path: "/designer/5ea50000-0000-4000-8000-00000000c100?thickening=salt&leastFlash=6&countHigh=4",
    height: 1000,
    act: async (page) => {
      await page.getByText(/^Proved: among/).waitFor();
      await page.waitForTimeout(2_500);
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
  { name: "watch", path: "/watch", act: watched },
  { name: "printed-list", path: "/compare/products/new", act: (page) => listed(page) },
  { name: "compare", path: "/compare/products/new", height: 900, act: compared },
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

/** A batch that was made elsewhere, planned into pump bottles and one jar to keep. @param {import("@playwright/test").Page} page */
async function fillOf(page) {
  const batch = await madeBatch(page, GREEN_ROOM_BATCH, 580.8);
  await page.goto(new URL(`/fill/${batch}`, page.url()).href);
  await page.getByLabel("How many of Pump bottle, tall").fill("2");
  await page.getByRole("button", { name: "Fill by this plan" }).click();
  await page.getByLabel(/what the scale shows, g$/).waitFor();
}

/** A batch of four weeks ago with its samples at room temperature and warm. @param {import("@playwright/test").Page} page */
async function watched(page) {
  const batch = await madeBatch(page, `${GREEN_ROOM_BATCH}?grams=150`, 140);
  const { origin } = new URL(page.url());
  await page.goto(`${origin}/watch/${batch}`);
  await page.getByRole("button", { name: "Watch it" }).click();
  await page.getByRole("heading", { name: "Next day" }).waitFor();
  await madeEarlier(data, batch, 29);
  for (const [ago, room, warm] of WEEKS) {
    await lookAt(page, batch, { sample: "room", ago, read: { pH: room[0], "thickness, Pa·s": room[1] } });
    await lookAt(page, batch, { sample: "warm", ago, read: { pH: warm[0], "thickness, Pa·s": warm[1] } });
  }
  await page.goto(`${origin}/watch/${batch}?sample=warm`);
  await page.waitForTimeout(800);
  await page.evaluate("scrollTo(0, 0)");
}

/** @type {readonly (readonly [number, readonly [string, string], readonly [string, string]])[]} */
const WEEKS = [
  [27, ["5.18", "2.44"], ["5.17", "2.42"]],
  [22, ["5.17", "2.42"], ["5.09", "2.16"]],
  [15, ["5.15", "2.40"], ["5.01", "1.98"]],
  [1, ["5.11", "2.36"], ["4.93", "1.79"]],
];

const PRINTED =
  "Aqua, Sodium C14-16 Olefin Sulfonate, Cocamidopropyl Betaine, Glycerin, Coco-Glucoside, Sodium Chloride, Parfum, Panthenol, Sodium Benzoate, Guar Hydroxypropyltrimonium Chloride, Citric Acid";

/**
 * The product to come close to, its list read.
 * @param {import("@playwright/test").Page} page
 * @param {string} name
 */
async function listed(page, name = "The one the guests like") {
  await page.getByLabel("What you call it").fill(name);
  await page.getByLabel("Its ingredients, as they are printed").fill(PRINTED);
  const measured = { price: "3.90", for: "250", pH: "5.3", "or by the flow cup": "22", "foam at once": "118", "slip, 1 to 5": "4" };
  for (const [label, value] of Object.entries(measured)) await page.getByLabel(label, { exact: true }).fill(value);
  await page.getByRole("button", { name: "Keep it" }).click();
  await page.getByRole("link", { name: "What its list allows" }).click();
  await page.getByText("typical: estimate").waitFor();
  await page.getByLabel("Pin of Panthenol, %").fill("0.5");
  await page.getByLabel("at or under 1 % after").selectOption("Sodium Chloride");
  await page.waitForTimeout(2_500);
}

/** Three rounds towards it, side by side. @param {import("@playwright/test").Page} page */
async function compared(page) {
  await listed(page, "The other one they like");
  await page.getByRole("button", { name: "Send to a new sheet" }).click();
  await page.waitForURL(/\/sheet\//);
  const { origin, pathname } = new URL(page.url());
  const formula = pathname.split("/")[2] ?? "";
  for (const [at, { change, read }] of ROUNDS.entries()) {
    if (at > 0) {
      await page.goto(`${origin}/sheet/${formula}/${at}`);
      await page.waitForTimeout(500);
      await page.getByRole("button", { name: `New draft from v${at}` }).click();
      await page.getByRole("button", { name: `Finalise version ${at + 1}` }).waitFor();
    }
    await page.waitForTimeout(600);
    for (const [line, percent] of Object.entries(change)) await page.getByLabel(new RegExp(`^${line}.*, percent`)).fill(percent);
    await page.waitForTimeout(1_200);
    await page.getByRole("button", { name: `Finalise version ${at + 1}` }).click();
    await page.getByRole("link", { name: "Make a batch" }).waitFor();
    await page.goto(`${origin}/compare/rounds/${formula}`);
    await page.waitForTimeout(400);
    const round = page.getByRole("list", { name: "Rounds" }).getByRole("listitem").nth(at);
    await round.getByText(`Measure v${at + 1}`).click();
    for (const [label, value] of Object.entries(read)) await round.getByLabel(label, { exact: true }).fill(value);
    await round.getByRole("button", { name: "Keep it" }).click();
    await page.waitForTimeout(600);
  }
  await page.getByRole("link", { name: "Side by side" }).click();
  await page.waitForTimeout(900);
}

/** @type {readonly { change: Record<string, string>, read: Record<string, string> }[]} */
const ROUNDS = [
  { change: {}, read: { pH: "5.6", "or by the flow cup": "12", "foam at once": "131", "slip, 1 to 5": "2" } },
  { change: { "Sodium chloride": "1.9" }, read: { pH: "5.6", "or by the flow cup": "19", "foam at once": "130", "slip, 1 to 5": "2" } },
  { change: { Guar: "0.45" }, read: { pH: "5.5", "or by the flow cup": "20", "foam at once": "126", "slip, 1 to 5": "3" } },
];

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
    /** Those named on the command line, all where none is. */
    const wanted = process.argv.slice(2);
    for (const { name, path, width = 1280, height = 800, act } of views) {
      if (wanted.length > 0 && !wanted.includes(name)) continue;
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
