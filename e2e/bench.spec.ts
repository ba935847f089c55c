import { readFileSync } from "node:fs";
import type { Page } from "@playwright/test";
import { seriousIn } from "./testing/axe";
import { acknowledged, beginBatch, done, GREEN_ROOM_BATCH, takeInstruments, takeTyped, typedWeight, wanted } from "./testing/atTheBench";
import { pourByServer } from "./testing/pourByServer";
import { expect, FAILED_LOAD, scriptsReady, test } from "./testing/test";

// A photo that is none is answered with 422, and an answer is lost on purpose.
test.use({ allowedConsole: [new RegExp(`${FAILED_LOAD.source}|Failed to load resource: net::ERR_FAILED`)], ownApplication: "bench" });

const take = (page: Page) => page.getByRole("button", { name: "Record weight" });
const tare = (page: Page) => page.getByRole("button", { name: "Tare", exact: true });
const goOn = (page: Page) => page.getByRole("button", { name: "Go on anyway" });
const isTuned = (page: Page) => page.getByRole("button", { name: /The pH is right, next step|Thick enough, next step/ });
const readAgain = (page: Page) => page.getByText("Thickening moves the pH: read it once more.");
const closing = (page: Page) => page.getByRole("button", { name: "Close the batch" });

/** One thing with the simulated scale: tares, pours and takes, or does the step, or goes on before a rest is over. */
async function oneThing(page: Page): Promise<"closing" | "done" | "weighed" | "went on" | "tuned"> {
  await expect(take(page).or(done(page)).or(goOn(page)).or(closing(page)).or(isTuned(page)).or(readAgain(page))).toBeVisible();
  if (await readAgain(page).isVisible()) {
    await page.getByLabel("pH", { exact: true }).fill("5.3");
    await page.getByRole("button", { name: "Take the reading" }).click();
    return "tuned";
  }
  if (await isTuned(page).isVisible()) {
    await expect(isTuned(page)).toBeEnabled();
    await isTuned(page).click();
    // Where nothing was read it is asked first; after the last reading it may be right.
    const question = page.getByRole("alert").filter({ hasText: "all the same?" });
    await expect(question.or(page.getByRole("heading", { name: "Let it rest, covered" }))).toBeVisible();
    if (await question.isVisible()) await page.getByRole("button", { name: "trial", exact: true }).click();
    return "tuned";
  }
  if (await closing(page).isVisible()) return "closing";
  if (await goOn(page).isVisible()) {
    await goOn(page).first().click();
    await expect(page.getByRole("alert")).toContainText("of its rest left");
    await page.getByRole("button", { name: "it has rested enough" }).click();
    return "went on";
  }
  if (await done(page).isVisible()) {
    await expect(done(page)).toBeEnabled();
    await done(page).click();
    return "done";
  }
  const pour = page.getByRole("button", { name: "pour what is missing" });
  if (await tare(page).isVisible()) {
    await expect(tare(page)).toBeEnabled();
    await tare(page).click();
    await expect(pour).toBeEnabled();
  }
  await pour.click();
  await expect(take(page)).toBeEnabled();
  await take(page).click();
  return "weighed";
}

/** Goes through all that is left; each thing must lead to another. */
async function makeTheRest(page: Page): Promise<void> {
  for (let at = 0; at < 90; at += 1) {
    const before = await page.locator("main").innerText();
    if ((await oneThing(page)) === "closing") return;
    await expect(page.locator("main")).not.toHaveText(before, { useInnerText: true });
    // A second tap in the same moment is none; the next thing is there when the guard is over.
    await page.waitForTimeout(450);
  }
  throw new Error("the batch does not come to an end");
}

test("a gel with the simulated scale, from what must be right to the record: a wrong weight, a photo, a note, one step back", async ({
  page,
}) => {
  test.setTimeout(480_000);
  await page.goto("/sheet/5ea50000-0000-4000-8000-00000000a200/1");
  await page.getByRole("link", { name: "Make a batch" }).click();
  await page.getByLabel("Batch, g").fill("200");
  await page.getByRole("button", { name: "Look again" }).click();
  await page.getByRole("button", { name: /^Begin (the|another) batch$/ }).click();
  await expect(page.getByRole("alert")).toContainText("Not ticked yet");
  for (const box of await page.getByRole("checkbox").all()) await box.check();
  await page.getByLabel("main beaker").fill("412,5");
  await page.getByRole("button", { name: /^Begin (the|another) batch$/ }).click();
  await expect(page.getByRole("heading", { name: "Prepare the bench" })).toBeVisible();
  await expect(page.getByRole("img", { name: /0 of \d+ steps are through/ })).toBeVisible();
  await scriptsReady(page);

  // The first step by the space bar alone, the scale by the arrows.
  await page.keyboard.press(" ");
  await expect(typedWeight(page)).toBeVisible();
  await takeInstruments(page, ["Scale"]);
  await expect(page.getByText("Tare first: the beaker is on the scale.")).toBeVisible();
  await expect(tare(page)).toBeEnabled();
  await page.getByRole("heading", { level: 2 }).first().click();
  await page.keyboard.press(" ");
  await expect(page.getByLabel(/simulated scale shows/)).toHaveText(/^0\.0/);
  const target = Number(await wanted(page));
  await page.getByRole("button", { name: "a splash too much" }).click();
  await expect(page.getByText("g too much")).toBeVisible();
  await expect(take(page)).toBeDisabled();
  await page.getByRole("button", { name: "Accept anyway" }).click();
  await expect(page.getByText(/is \d+\.\d % over/)).toBeVisible();
  expect(await seriousIn(page)).toEqual([]);
  await page.getByRole("button", { name: "Weigh it again" }).click();
  await expect(take(page).or(tare(page)).first()).toBeVisible();
  await page.reload();
  expect(Number(await wanted(page))).toBe(target);
  await scriptsReady(page);

  await page.getByText("Note", { exact: true }).click();
  await page.getByLabel("note").fill("the water is from Tuesday");
  await page.getByLabel("note").press("Enter");
  await page.getByText("Photo", { exact: true }).click();
  await page.getByLabel(/JPEG or PNG/).setInputFiles({ name: "foam.png", mimeType: "image/png", buffer: Buffer.from("no picture at all") });
  await page.getByRole("button", { name: "Keep the photo" }).click();
  await expect(page.getByText("This is not a photo that can be read.")).toBeVisible();
  await page.getByLabel(/JPEG or PNG/).setInputFiles("public/../docs/screenshots/today.png");
  await page.getByRole("button", { name: "Keep the photo" }).click();
  await expect(page.getByRole("button", { name: "Keep the photo" })).toBeHidden();

  await oneThing(page);
  await page.getByRole("button", { name: "One step back" }).click();
  await expect(tare(page).or(take(page)).first()).toBeVisible();
  for (let at = 0; at < 4; at += 1) {
    await page.waitForTimeout(450);
    await oneThing(page);
  }
  // The rest up to the pH comes from another device.
  await acknowledged(page);
  await pourByServer(page, new URL(page.url()).pathname);
  await scriptsReady(page);
  await makeTheRest(page);
  await expect(page.getByRole("row", { name: /active matter/ })).toBeHidden();
  await page.getByText("The sums as weighed so far").click();
  await expect(page.getByRole("row", { name: /active matter/ })).toBeVisible();
  await page.getByLabel("Yield, g").fill("193.4");
  await closing(page).click();

  const record = page.getByRole("article");
  await expect(record).toContainText("Yield 193.4 g,");
  await expect(record.getByRole("row", { name: /^together/ })).toContainText("200.00");
  await expect(record).toContainText("main beaker 412.5 g");
  await expect(record).toContainText("the water is from Tuesday");
  await expect(record.locator("s").first()).toBeVisible();
  await expect(record.getByText("simulated").first()).toBeVisible();
  await expect(record.getByRole("img")).toHaveCount(1);
  expect(await seriousIn(page)).toEqual([]);
  const pdf = page.waitForEvent("download");
  await page.getByRole("link", { name: "As a PDF" }).click();
  expect(
    readFileSync(await (await pdf).path())
      .subarray(0, 5)
      .toString(),
  ).toBe("%PDF-");
  const file = page.waitForEvent("download");
  await page.getByRole("link", { name: "As a file" }).click();
  const { format, entries } = JSON.parse(readFileSync(await (await file).path(), "utf8")) as {
    format: string;
    entries: { readOff?: string }[];
  };
  expect(format).toBe("tensidrum-batch/1");
  expect(entries.some(({ readOff }) => readOff === "simulated scale")).toBe(true);
  await page.goto("/shelf/cocamidopropyl-betaine");
  await expect(
    page
      .getByRole("table", { name: /Stock ledger/ })
      .getByRole("row")
      .nth(1),
  ).toContainText("used: GR-");
});

test("a heated cleanser with the simulated scale on a tablet: two beakers warmed, what steamed off put back", async ({ page }) => {
  test.setTimeout(480_000);
  await page.setViewportSize({ width: 1024, height: 768 });
  await page.goto("/sheet/5ea50000-0000-4000-8000-00000000d400");
  await page.getByRole("button", { name: /^Finalise version/ }).click();
  await page.getByRole("link", { name: "Make a batch" }).click();
  await expect(page.getByRole("heading", { name: "Before you begin" })).toBeVisible();
  for (const box of await page.getByRole("checkbox").all()) await box.check();
  for (const lot of await page.getByRole("combobox", { name: /^Lot for/ }).all()) await lot.selectOption("none");
  await page.getByLabel("main beaker").fill("280");
  await page.getByRole("button", { name: /^Begin (the|another) batch$/ }).click();
  await expect(page.getByRole("heading", { name: "Prepare the bench" })).toBeVisible();
  await scriptsReady(page);
  await takeInstruments(page, ["Scale"]);
  await makeTheRest(page);
  await page.getByLabel("Yield, g").fill("388");
  await closing(page).click();
  const record = page.getByRole("article");
  await expect(record).toContainText("Yield 388.0 g,");
  await expect(
    record
      .getByRole("listitem")
      .filter({ hasText: /heat|melt|warm/i })
      .first(),
  ).toContainText("done");
  await expect(record).toContainText(/Put back what steamed off: \d+/);
  await expect(record.getByRole("row", { name: /^together/ })).toContainText("400.");
});

test("typed weights: what cannot be is answered with the text kept, and the arrows and the space bar are enough", async ({ page }) => {
  await beginBatch(page, GREEN_ROOM_BATCH);
  await page.keyboard.press(" ");
  for (const [text, words] of [
    ["-4", "A weight is not below 0."],
    ["5000", "more than your strongest scale carries"],
    ["much", "in grams"],
    ["12 oz", "not oz"],
  ] as const) {
    await takeTyped(page, text);
    await expect(page.getByRole("alert")).toContainText(words);
    await expect(typedWeight(page)).toHaveValue(text);
  }
  await typedWeight(page).fill("");
  await typedWeight(page).press("ArrowUp");
  await expect(typedWeight(page)).toHaveValue(await wanted(page));
  await expect(page.getByText("Within tolerance.")).toBeVisible();
  await typedWeight(page).press(" ");
  await expect(page.getByText(/\d of \d+\.\d g/)).toBeVisible();
});

test("clocks: a rest and a clock of one's own run over a reload, Today and every wash line say what rests until when, and there is a calendar", async ({
  page,
}) => {
  await beginBatch(page, GREEN_ROOM_BATCH);
  await page.getByText("Clock", { exact: true }).click();
  await page.getByLabel("minutes").fill("90");
  await page.getByLabel("what for").fill("bath at 40 °C");
  await page.getByRole("button", { name: "Start the clock" }).click();
  await page.getByText("Clock", { exact: true }).click();
  await page.getByLabel("minutes").fill("0.02");
  await page.getByLabel("what for").fill("stir");
  await page.getByRole("button", { name: "Start the clock" }).click();
  const clocks = page.getByRole("region", { name: "Clocks" });
  await expect(clocks.getByRole("listitem").filter({ hasText: "bath at 40 °C" })).toContainText(/1:(29|30):\d\d/);
  await expect(clocks.getByRole("listitem").filter({ hasText: "stir" })).toContainText("over");
  await page.reload();
  await expect(clocks.getByRole("listitem").filter({ hasText: "bath at 40 °C" })).toContainText(/1:29:\d\d/);
  await clocks.getByRole("button", { name: "Put away the clock: stir" }).click();
  await expect(clocks.getByRole("listitem").filter({ hasText: "stir" })).toBeHidden();
  const calendar = page.waitForEvent("download");
  await page.getByRole("link", { name: "into a calendar" }).click();
  const text = readFileSync(await (await calendar).path(), "utf8");
  expect(text).toContain("BEGIN:VEVENT");
  expect(text).toContain("bath at 40 °C is over");
  expect(text).not.toContain("stir");
  await page.goto("/");
  await expect(page.getByRole("list", { name: "On the bench" })).toContainText(/bath at 40 °C until \d\d:\d\d|bath at 40 °C until/);
  await page.goto("/shelf");
  await expect(page.getByRole("navigation", { name: "Stations of a formula" })).toContainText(/rests until/);
});

test("a pause stands still, a step is left out with a reason, and closing early asks of each open step", async ({ page }) => {
  const address = await beginBatch(page, GREEN_ROOM_BATCH);
  await page.getByRole("button", { name: "Pause" }).click();
  await expect(page.getByRole("heading", { name: /Paused since/ })).toBeVisible();
  await page.reload();
  await scriptsReady(page);
  await page.getByRole("button", { name: "Go on" }).click();
  await page.getByText("Skip", { exact: true }).click();
  await page.getByLabel("leave this step out, because").fill("all was clean from yesterday");
  await page.getByRole("button", { name: "Skip it" }).click();
  await expect(page.getByRole("heading", { name: "Weigh the water" })).toBeVisible();
  // While nothing is weighed the whole batch can be discarded instead.
  await expect(page.getByText("Close early", { exact: true })).toHaveCount(0);
  await takeTyped(page);
  await page.getByText("Close early", { exact: true }).click();
  await page.getByLabel("Yield, g").fill("900");
  const close = page.getByRole("button", { name: "Close the batch" });
  await expect(close).toBeEnabled();
  await close.click();
  await expect(page.getByRole("alert")).toContainText("Say why it is skipped");
  for (const field of await page.getByPlaceholder("skipped, because").all()) await field.fill("a practice run");
  await close.click();
  await expect(page.getByRole("article")).toContainText("skipped, reason: all was clean from yesterday");
  expect(page.url()).toContain(`${address}/record`);
  await expect(page.getByRole("article")).toContainText("Yield 900.0 g,");
});

/** So small that the lots of the demo last, however many batches the other tests have begun. */
const SMALL_BATCH = `${GREEN_ROOM_BATCH}?grams=100`;

test("a batch in which nothing was weighed is discarded in one act, and its lots are free again", async ({ page }) => {
  const address = await beginBatch(page, SMALL_BATCH);
  await page.getByRole("button", { name: "Discard batch" }).click();
  await expect(page.getByRole("article")).toContainText(/discarded .* before anything was weighed/);
  expect(page.url()).toContain(`${address}/record`);
  await page.goto("/bench");
  const listed = page.getByRole("row").filter({ has: page.locator(`a[href="${address}/record"]`) });
  await expect(listed).toContainText(/discarded \d/);
  await page.goto(address);
  await page.getByRole("button", { name: "Open it again" }).click();
  await expect(page.getByRole("heading", { name: "Prepare the bench" })).toBeVisible();
});

test("going back in the browser does not begin a batch a second time: the one being made is named", async ({ page }) => {
  await page.goto(SMALL_BATCH);
  const address = await beginBatch(page, SMALL_BATCH);
  const code =
    (await page
      .getByText(/^batch /)
      .locator("strong")
      .textContent()) ?? "";
  await page.goBack();
  await expect(page.getByRole("heading", { name: "Before you begin" })).toBeVisible();
  await expect(page.getByRole("status").filter({ hasText: "being made" })).toContainText(`go on with ${code}`);
  await expect(page.getByRole("button", { name: "Begin another batch" })).toBeVisible();
  await page.getByRole("link", { name: `go on with ${code}`, exact: true }).click();
  await expect(page).toHaveURL(new RegExp(`${address}$`));
});

test("one step back whose answer is lost just before the page is loaded again does not wait to be sent for ever", async ({ page }) => {
  await beginBatch(page, GREEN_ROOM_BATCH);
  await page.route("**/news?*", (route) => route.abort());
  await page.reload();
  await scriptsReady(page);
  await done(page).click();
  await expect(page.getByRole("heading", { level: 2, name: "Weigh the water" })).toBeVisible();
  await acknowledged(page);
  await page.route("**/entries", async (route) => {
    await route.fetch();
    await route.abort();
  });
  await page.getByRole("button", { name: "One step back" }).click();
  await expect(page.getByText(/1 entry to send/)).toBeVisible();
  await page.unrouteAll({ behavior: "wait" });
  await page.reload();
  await expect(page.getByRole("heading", { level: 2, name: "Prepare the bench" })).toBeVisible();
  await acknowledged(page);
  await expect(page.getByText("The server cannot be reached")).toBeHidden();
});
