import type { Page } from "@playwright/test";
import { seriousIn } from "./testing/axe";
import { acknowledged, beginBatch, GREEN_ROOM_BATCH } from "./testing/atTheBench";
import { pourByServer } from "./testing/pourByServer";
import { expect, test } from "./testing/test";

test.use({ ownApplication: "bench tuning" });

const ph = (page: Page) => page.getByLabel("pH", { exact: true });
const takeReading = (page: Page) => page.getByRole("button", { name: "Take the reading" });
const dosed = (page: Page) => page.getByRole("button", { name: "Dosed, start 2:00" });
const isRight = (page: Page) => page.getByRole("button", { name: "The pH is right, next step" });

/** Says why what was asked about stands. */
const because = (page: Page, reason: string) => page.getByRole("button", { name: reason, exact: true });

async function read(page: Page, value: string): Promise<void> {
  await ph(page).fill(value);
  await expect(takeReading(page)).toBeEnabled();
  await takeReading(page).click();
}

test("the pH is read, dosed as advised, overshot and taken back with a base, then salt is added as advised; what is likely a slip is asked first", async ({
  page,
}) => {
  test.setTimeout(300_000);
  const batch = await beginBatch(page, GREEN_ROOM_BATCH);
  await pourByServer(page, batch, 30);
  await read(page, "15");
  await expect(page.getByRole("alert")).toContainText("between 0 and 14");
  await expect(ph(page)).toHaveValue("15");
  await read(page, "7.4");
  const advised = page.getByLabel(/^Add, g of citric acid/);
  await expect(advised).toBeVisible();
  await expect(page.getByRole("img", { name: /1 readings, the last pH 7.40/ })).toBeVisible();

  // Ten times the advice is asked about first, and a right amount is entered without.
  const grams = page.getByLabel(/^Really added, g of citric acid/);
  const advice = await grams.inputValue();
  await grams.fill(String(Number(advice) * 11));
  await expect(dosed(page)).toBeEnabled();
  await dosed(page).click();
  await expect(page.getByRole("alert")).toContainText("more than ten times what is advised");
  await grams.fill(advice);
  await dosed(page).click();
  await expect(page.getByRole("region", { name: "Clocks" })).toContainText("After");
  await expect(page.getByText("Stirred and waited two minutes?")).toBeVisible();

  // Against the direction of the dose, and far from the last reading: both are asked.
  await read(page, "7.9");
  await expect(page.getByRole("alert")).toContainText("the wrong way");
  await expect(page.getByRole("alert"), "and the two minutes are not over").toContainText(
    /% w\/w solution: it rests for another [12]:\d\d/,
  );
  await read(page, "3.9");
  await expect(page.getByRole("alert")).toContainText("away from the last reading");
  await takeReading(page).click();
  await expect(ph(page), "a reason is wanted first").toHaveValue("3.9");
  // By keys: the question has the focus, and its first answer is the next.
  await expect(page.getByRole("alert")).toBeFocused();
  await page.keyboard.press("Tab");
  await expect(because(page, "measured twice")).toBeFocused();
  await page.keyboard.press("Enter");

  // So far from all that is plausible it is read once more before anything goes in.
  await expect(page.getByText(/fit no plausible batch/)).toBeVisible();
  // The maker may dose all the same.
  await expect(page.getByText("Dose all the same")).toBeVisible();
  await page.getByLabel("pH, read again").fill("3.9");
  await page.getByRole("button", { name: "Read again" }).click();
  await expect(page.getByRole("alert")).toContainText("it rests for another");
  await because(page, "measured twice").click();
  // Overshot: the counter-dose is of the base.
  const base = page.getByLabel(/^Add, g of sodium hydroxide/);
  await expect(base).toBeVisible();
  expect(await seriousIn(page)).toEqual([]);
  await expect(dosed(page)).toBeEnabled();
  await dosed(page).click();
  await expect(page.getByText("Stirred and waited two minutes?")).toBeVisible();
  await acknowledged(page);
  await page.reload();
  // A reading in a hurry wants a reason; a clock that was ended is a decision already.
  await read(page, "4.9");
  await expect(page.getByRole("alert")).toContainText("it rests for another");
  await page.getByRole("button", { name: /^End the clock: After .* sodium hydroxide/ }).click();
  await expect(takeReading(page)).toBeEnabled();
  await takeReading(page).click();
  await expect(page.getByRole("row", { name: /sodium hydroxide/ })).toContainText("4.90");
  // The button that was pressed is gone: Tab goes on from the step.
  await expect(page.getByRole("heading", { level: 2, name: "Read the pH and set it" })).toBeFocused();
  await isRight(page).click();
  const question = page.getByRole("alert").filter({ hasText: "Is it right all the same?" });
  if (await question.isVisible()) await because(page, "intended").click();
  await expect(page.getByRole("heading", { level: 2, name: "Thicken with salt" })).toBeVisible();

  // Salt: read, add as advised, rest, read; what cannot be is refused, and near what is wanted it stops.
  const thickness = page.getByLabel("Thickness", { exact: true });
  const take = async (value: string) => {
    await thickness.fill(value);
    await expect(takeReading(page)).toBeEnabled();
    await takeReading(page).click();
  };
  await take("0");
  await expect(page.getByRole("alert")).toContainText("A thickness is more than 0.");
  await take("0.1");
  await expect(page.getByLabel(/^Add, g of sodium chloride/)).toBeVisible();
  const salt = Number(await page.getByLabel(/^Really added, g of sodium chloride/).inputValue());
  const added = page.getByRole("button", { name: "Added, start 8:00" });
  await expect(added).toBeEnabled();
  await added.click();
  await expect(page.getByText("Rested eight minutes?")).toBeVisible();
  await take("2.4");
  await expect(page.getByRole("alert")).toContainText(/After \d.* sodium chloride: it rests for another [78]:\d\d/);
  await because(page, "trial").click();
  await expect(page.getByRole("img", { name: /2 readings, the last 2.40 Pa·s/ })).toBeVisible();
  const enough = page.getByRole("button", { name: "Thick enough, next step" });
  await expect(enough).toBeEnabled();
  await enough.click();
  await expect(page.getByRole("heading", { level: 2, name: "Read the pH again" })).toBeVisible();
  await acknowledged(page);
  await page.goto(`${batch}/record`);
  const record = page.getByRole("article");
  await expect(record).toContainText("pH 7.40, in a 10 % dilution, 2.0 g taken");
  await expect(record).toContainText(/g citric acid 50 % w\/w solution dosed/);
  await expect(record).toContainText(/g sodium hydroxide 10 % dosed/);
  await expect(record).toContainText("Thickness 2.40 Pa·s");
  await expect(record).toContainText("taken; reason: measured twice");
  await expect(record.getByRole("row", { name: /^Sodium chloride/ }).first()).toContainText(String(salt));
  await expect(record.getByRole("row", { name: /^Citric acid 50 %/ }).first()).toContainText(Number(advice).toFixed(2));
});

test("the meter in two buffers says whether it may be trusted, on every device of the batch", async ({ page }) => {
  await pourByServer(page, await beginBatch(page, GREEN_ROOM_BATCH), 30);
  await page.getByText("The meter: not calibrated in this batch").click();
  await page.getByLabel("first buffer shows").fill("4.1");
  await page.getByLabel("second buffer shows").fill("6.95");
  await page.getByRole("button", { name: "Keep it", exact: true }).click();
  await expect(page.getByText(/Slope 95\.0 %: sound/)).toBeVisible();
  await page.reload();
  await expect(page.getByText(/Slope 95\.0 %: sound/)).toBeVisible();
});
