import type { BatchEntry } from "@tensidrum/core/process";
import type { Page } from "@playwright/test";
import { begunEarlier } from "./testing/begunEarlier";
import { sendEntries } from "./testing/sendEntries";
import { acknowledged, beginBatch, GREEN_ROOM_BATCH, takeInstruments } from "./testing/atTheBench";
import { fakeSerial } from "./testing/fakeSerial";
import { pourByServer } from "./testing/pourByServer";
import { expect, scriptsReady, test } from "./testing/test";

test.use({ ownApplication: "simulation" });

const button = (page: Page, name: string | RegExp) => page.getByRole("button", { name, exact: typeof name === "string" }).first();
const dosed = (page: Page) => button(page, "Dosed, start 2:00");
const added = (page: Page) => button(page, "Added, start 8:00");

/** Dips the played meter into the batch, waits until it stands, and takes what it shows. */
async function readPh(page: Page): Promise<number> {
  const fold = page.locator("[data-act='Read it again']");
  const dip = button(page, "dip into the sample");
  if (!(await dip.isVisible())) await fold.click();
  const rows = await page.getByRole("table", { name: "Readings and doses" }).locator("tbody tr").count();
  await button(page, "rinse, in the air").click();
  await dip.click();
  const shows = page.getByLabel("pH, the simulated meter shows");
  await expect(page.getByText(/pH, 22 °C, stands/)).toBeVisible();
  const take = button(page, /^(Take the reading|Read again)$/);
  await expect(take).toBeEnabled();
  const ph = Number(await shows.textContent());
  await take.click();
  const why = button(page, "measured twice");
  const computed = page.locator(`[role=img][aria-label^="${rows + 1} readings"]`);
  await expect(computed.or(why)).toBeVisible();
  if (await why.isVisible()) await why.click();
  await expect(computed).toBeVisible();
  await expect(page.getByText("Calculating the next dose")).toBeHidden();
  return ph;
}

/** Fills the played cup, lets it run out, and takes the time. */
async function readThickness(page: Page): Promise<void> {
  const fill = button(page, "fill it and let it run");
  if (!(await fill.isVisible())) await page.locator("[data-act='Read it again']").click();
  await fill.click();
  await expect(page.getByText(/s through the cup, stands/)).toBeVisible({ timeout: 30_000 });
  const take = button(page, /^(Take the reading|Read again)$/);
  await expect(take).toBeEnabled();
  await take.click();
}

/** Pours on the played scale what is advised, and says that it went in. */
async function pour(page: Page, taken: "Dosed, start 2:00" | "Added, start 8:00"): Promise<void> {
  await button(page, "pour what is missing").click();
  const entered = button(page, taken);
  await expect(entered).toBeEnabled();
  await entered.click();
}

type Bare<Entry> = Entry extends BatchEntry ? Omit<Entry, "id" | "at"> : never;

/** Something entered on another device some minutes ago, so that nobody waits for its rest here. */
async function enteredEarlier(page: Page, batch: string, entry: Bare<BatchEntry>, minutes: number): Promise<void> {
  const at = new Date(Date.now() - minutes * 60_000).toISOString();
  const { origin } = new URL(page.url());
  await begunEarlier(origin, batch, minutes + 1);
  const answer = await sendEntries(page.request, origin, batch, [{ ...entry, id: crypto.randomUUID(), at } as BatchEntry]);
  expect(((await answer.json()) as { refused: readonly unknown[] }).refused).toEqual([]);
}

/** What the advice begins with when nothing goes in, and when nothing more is to go in. */
const TOLD =
  /^(On target|Near the target|Read it again before|This reading fits|Thicker|More salt would|Salt alone|The last addition|The curve through samples)/;
const STOPS = /^(On target|Thicker|More salt would|Salt alone|The last addition|The curve through samples)/;

const letPass = (page: Page) => button(page, /^let .* pass$/);

test("a batch with simulated instruments: calibrated, overshot, taken back with a base, and salted without going over the peak", async ({
  page,
}) => {
  test.setTimeout(480_000);
  const batch = await beginBatch(page, GREEN_ROOM_BATCH);
  await pourByServer(page, batch, 30);
  await scriptsReady(page);
  await takeInstruments(page, ["Scale", "pH meter", "Flow cup"]);

  // The meter in two buffers: what it shows is taken, and from then on it shows the truth.
  await page.getByText("The meter: not calibrated in this batch").click();
  const meter = page.locator("details", { hasText: "The meter:" }).last();
  for (const [buffer, which] of [
    ["buffer 4", "first buffer"],
    ["buffer 7", "second buffer"],
  ] as const) {
    const take = meter.getByRole("button", { name: `Take what the meter shows for the ${which}` });
    await meter.getByRole("button", { name: buffer }).click();
    await expect(take).toHaveText("settling");
    await expect(take).toHaveText(/^take /, { timeout: 10_000 });
    await take.click();
  }
  await button(page, "Keep it").click();
  await expect(page.getByText(/Slope (9\d|100)\.\d %/).first()).toBeVisible();

  // The dose of a tired hand, three minutes ago: far more than is advised, and the acid passes the far edge.
  expect(await readPh(page)).toBeGreaterThan(5.3);
  const citric = {
    name: "citric acid 20 %",
    line: null,
    kind: "acid",
    molarMass: 192.12,
    pKas: [3.13, 4.76, 6.4],
    strengthPercent: 20,
  } as const;
  await enteredEarlier(page, batch, { kind: "dosed", step: "ph", agent: citric, grams: 40, readOff: "simulated scale" }, 3);
  expect(await readPh(page)).toBeLessThan(4.5);
  await expect(page.getByLabel(/^Add, g of sodium hydroxide/)).toBeVisible();
  await pour(page, "Dosed, start 2:00");
  await expect(page.getByText("Stirred and waited two minutes?")).toBeVisible();
  await acknowledged(page);
  await readPh(page);
  await button(page, "The pH is right, next step").click();
  const wanted = button(page, "intended");
  await expect(wanted.or(page.getByRole("heading", { level: 2, name: "Thicken with salt" }))).toBeVisible();
  if (await wanted.isVisible()) await wanted.click();
  await expect(page.getByRole("heading", { level: 2, name: "Thicken with salt" })).toBeVisible();

  // Salt as advised, each addition rested eight minutes, until the advice is to stop.
  for (let round = 0; round < 12; round += 1) {
    await readThickness(page);
    await expect(added(page).or(page.getByText(TOLD))).toBeVisible();
    if (await page.getByText(STOPS).isVisible()) break;
    if (!(await added(page).isVisible())) continue;
    await expect(page.getByText(/Chance of passing the peak: (under 5|about \d{1,2}) in 1,000/)).toBeVisible();
    const grams = Number.parseFloat((await page.getByLabel(/^Add, g of sodium chloride/).textContent()) ?? "");
    const salt = { name: "sodium chloride", line: null, strengthPercent: 100 } as const;
    await enteredEarlier(page, batch, { kind: "salted", step: "salt", salt, grams, readOff: "simulated scale" }, 20);
    await expect(page.getByText("Rested eight minutes?")).toBeVisible();
  }
  await expect(page.getByText(STOPS)).toBeVisible();
  await acknowledged(page);
  await page.goto(`${batch}/record`);
  const record = page.getByRole("article");
  await expect(record).toContainText(/Meter: 4 read as .*, off the simulated meter/);
  await expect(record).toContainText(/at 22 °C, off the simulated meter/);
  await expect(record).toContainText(/g sodium hydroxide 10 % dosed, off the simulated scale/);
  await expect(record).toContainText(/s through the flow cup, off the simulated cup/);
});

test("a practice run: overshot on purpose, taken back, salted as advised, and judged against what was hidden; stock and codes stay as they are", async ({
  page,
}) => {
  test.setTimeout(480_000);
  await page.goto("/bench");
  const before = await page.locator("main").innerText();
  const formula = "5ea50000-0000-4000-8000-00000000a200";
  await page.evaluate(
    ([key, run]) => localStorage.setItem(key ?? "", run ?? ""),
    [`tensidrum.practice.practice-${formula}-1`, JSON.stringify({ seed: "lakeside", entries: [], aheadMilliseconds: 0, isOver: false })],
  );
  await page.goto(`/bench/practice/${formula}/1`);
  await button(page, "pour it all for me").click();
  await expect(page.getByText("Read the pH before anything goes in.")).toBeVisible();
  await readPh(page);
  await page.getByText("Instruments: all simulated").click();
  await page.getByRole("listitem", { name: "Scale" }).getByRole("button", { name: "pour what is missing" }).click();
  await page.getByText("Instruments: all simulated").click();
  await expect(dosed(page)).toBeEnabled();
  await dosed(page).click();
  const overdose = button(page, "trial");
  await expect(overdose.or(letPass(page))).toBeVisible();
  if (await overdose.isVisible()) await overdose.click();
  await letPass(page).click();
  for (let round = 0; round < 8; round += 1) {
    await readPh(page);
    if (await page.getByText(/: leave it/).isVisible()) break;
    if (!(await dosed(page).isVisible())) continue;
    await pour(page, "Dosed, start 2:00");
    await letPass(page).click();
    await expect(page.getByText("Stirred and waited two minutes?")).toBeVisible();
  }
  await button(page, "The pH is right, next step").click();
  await expect(page.getByRole("heading", { level: 2, name: "Thicken with salt" })).toBeVisible();
  while (await letPass(page).isVisible()) {
    await letPass(page).click();
    await page.waitForTimeout(700);
  }
  for (let round = 0; round < 12; round += 1) {
    await readThickness(page);
    await expect(added(page).or(page.getByText(TOLD))).toBeVisible();
    if (await page.getByText(STOPS).isVisible()) break;
    if (!(await added(page).isVisible())) continue;
    await pour(page, "Added, start 8:00");
    await letPass(page).click();
    await expect(page.getByText("Rested eight minutes?")).toBeVisible();
  }
  // A reload goes on where it was.
  await page.reload();
  await button(page, "end it and show the truth").click();
  const score = Number(((await page.getByLabel("Score of 100").textContent()) ?? "").replace(/of 100.*/, ""));
  expect(score).toBeGreaterThan(30);
  expect(score).toBeLessThanOrEqual(100);
  await expect(page.getByRole("row", { name: /past its far edge/ })).toBeVisible();
  await expect(page.getByRole("row", { name: /The salt stayed in the safe part 10 of 10/ })).toBeVisible();
  await expect(page.getByText(/The meter was .* nobody set it right/)).toBeVisible();
  await expect(page.getByRole("img", { name: /The true curve is drawn/ })).toBeVisible();
  await expect(page.getByRole("img", { name: /The curve peaks at/ })).toBeVisible();
  await button(page, "New simulated batch").click();
  await expect(page.getByRole("heading", { level: 2, name: "Prepare the bench" })).toBeVisible();
  // The score is kept, and told before the next run and the next batch.
  await expect(page.getByRole("region", { name: "Practice run" })).toContainText(`Last time ${score} of 100.`);
  await page.goto(`/bench/begin/${formula}/1`);
  await expect(page.getByRole("link", { name: `Practice run, last ${score} of 100` })).toBeVisible();
  await page.goto("/bench");
  expect(await page.locator("main").innerText()).toBe(before);
});

test("a scale on a cable: split lines are put together, noise is passed over, another unit, overload and a pulled plug are told", async ({
  page,
}) => {
  await page.addInitScript(fakeSerial);
  const batch = await beginBatch(page, GREEN_ROOM_BATCH);
  await page.getByText(/^Instruments:/).click();
  const scale = page.getByRole("listitem", { name: "Scale" });
  await scale.getByRole("button", { name: "on a cable" }).click();
  const shows = page.getByLabel("Scale shows");
  const play = (text: string) => page.evaluate((piece) => (window as unknown as { play(text: string): void }).play(piece), text);
  await play("boot v2\r\nU   0.0");
  await play("0 g\r\nS  61.3");
  await play("8 g\r\n#$%\r\n");
  await expect(shows).toHaveText("61.38 g");
  await play("S  2.165 oz\r\n");
  await expect(scale.getByRole("alert")).toContainText("It sends oz. Set it to g.");
  await play("ST, OL\r\n");
  await expect(shows).toHaveText("out of range");
  await play("S  61.39 g\r\n");
  await expect(shows).toHaveText("61.39 g");
  await page.evaluate(() => (window as unknown as { unplug(): void }).unplug());
  await expect(scale.getByRole("alert")).toContainText("It was unplugged.");
  await page.goto(batch);
  await expect(page.getByText("Instruments: weights, pH, flow times typed")).toBeVisible();
});
