import { GREEN_ROOM_BATCH, beginBatch } from "./testing/atTheBench";
import { pourByServer } from "./testing/pourByServer";
import { expect, FAILED_LOAD, saved, test } from "./testing/test";

// A jar that cannot be one is answered with 422.
test.use({ allowedConsole: [FAILED_LOAD], ownApplication: "saltSamples" });

test("jars of a base: what is wrong keeps the typed text, five draw a salt curve, one is poured away and put back, and a batch of that base finds them", async ({
  page,
}) => {
  await page.goto("/sheet/5ea50000-0000-4000-8000-00000000a200/1");
  // The curve fitted through the samples of the demo is what the Sheet measures its salt by.
  await expect(page.getByText(/ends at 2\.3\d %, peak of this base \(fitted\)/)).toBeAttached();
  await page.getByRole("link", { name: "Make a batch" }).click();
  await page.getByRole("link", { name: "Salt-curve samples" }).click();
  await expect(
    page.getByRole("img", { name: /7 samples of the same base\. The curve peaks at 2\.3\d %.*stay below 2\.1\d %/ }),
  ).toBeVisible();
  await expect(page.getByText(/2\.5 is reached at 2\.\d\d % salt in all/)).toBeVisible();

  await page.getByLabel("dry salt added, g").fill("0.5 oz");
  await page.getByLabel("thickness, Pa·s").fill("1.3");
  await page.getByRole("button", { name: "Add this sample" }).click();
  await expect(page.getByRole("alert")).toContainText("not oz");
  await expect(page.getByLabel("dry salt added, g")).toHaveValue("0.5 oz");
  await page.getByLabel("dry salt added, g").fill("0.6");
  await page.getByRole("button", { name: "Add this sample" }).click();
  await expect(page.getByRole("img", { name: /8 samples of the same base/ })).toBeVisible();
  await page.getByRole("button", { name: /Delete the sample with 2\.97 % salt/ }).click();
  await expect(page.getByRole("img", { name: /7 samples of the same base/ })).toBeVisible();
  await page.getByRole("button", { name: "Put it back" }).click();
  await expect(page.getByRole("img", { name: /8 samples of the same base/ })).toBeVisible();

  // A batch of the same base: at its salt the jars and their salt curve are there.
  const batch = await beginBatch(page, GREEN_ROOM_BATCH);
  await pourByServer(page, batch, 30);
  await page.getByText("Skip", { exact: true }).click();
  await page.getByLabel(/leave this step out, because/).fill("read already");
  await page.getByRole("button", { name: "Skip it" }).click();
  await expect(page.getByRole("heading", { level: 2, name: "Thicken with salt" })).toBeVisible();
  await expect(page.getByRole("img", { name: /8 samples of the same base/ })).toBeVisible();
  await page.getByLabel("How the thickness was measured").selectOption("in a word");
  await page.getByLabel("Thickness in a word").selectOption("syrup");
  await page.getByRole("button", { name: "Take the reading" }).click();
  await expect(page.getByText(/Chance of passing the peak/)).toBeVisible();
  await expect(page.getByText(/8 samples of this base; typical miss \d+ %/)).toBeVisible();
  await page.getByRole("link", { name: "Salt-curve samples" }).click();
  await expect(page.getByRole("link", { name: "Back to the batch" })).toBeVisible();
});

test("the flow cup is calibrated in the settings, and from then on its seconds are a thickness", async ({ page }) => {
  await page.goto("/settings");
  const funnel = page.locator("#funnel");
  await funnel.getByRole("button", { name: "Calibrate the flow cup" }).click();
  await expect(funnel.getByRole("alert")).toContainText("of both liquids");
  await funnel.getByLabel("first liquid runs, s").fill("60");
  await funnel.getByLabel("second liquid, Pa·s").fill("0.064");
  await funnel.getByLabel("second liquid runs, s").fill("5");
  await funnel.getByRole("button", { name: "Calibrate the flow cup" }).click();
  await expect(funnel.getByText("a wash of 1 g/mL that runs a minute is 1.01 Pa·s")).toBeVisible();
});

const late = {
  format: "tensidrum-formula/1",
  name: "Box Office hand wash",
  profile: "hand-wash",
  batchGrams: 400,
  phases: [{ id: "A", title: "all" }],
  lines: [
    ["w", "water-distilled"],
    ["s", "sles-2eo-28", 25],
    ["b", "cocamidopropyl-betaine", 14],
    ["g", "glycerin", 3],
    ["p", "peg-150-pentaerythrityl-tetrastearate-blend", 1],
    ["c", "citric-acid-solution-50", 0.3],
  ].map(([id, material, percent]) => ({ id, phase: "A", material, ...(percent === undefined ? { qs: true } : { percent }) })),
};

test("a late thickener goes in by small steps, and is not judged before next morning", async ({ page }) => {
  await page.goto("/import");
  await page.getByRole("textbox").first().fill(JSON.stringify(late));
  await page.getByRole("button", { name: "Import", exact: true }).click();
  await saved(page);
  await page.getByRole("link", { name: "Practice run" }).click();
  await page.getByRole("button", { name: "pour it all for me" }).click();
  await page.getByText("Skip", { exact: true }).click();
  await page.getByLabel(/leave this step out, because/).fill("not what is practised");
  await page.getByRole("button", { name: "Skip it" }).click();
  await expect(page.getByRole("heading", { level: 2, name: "Thicken in small steps" })).toBeVisible();
  const fold = page.getByLabel(/^Add, g of PEG-150/);
  for (const [at, more] of ["1.00", "1.00", "1.00", "1.00"].entries()) {
    await expect(fold).toContainText(more);
    // What lay there from the last portion is not entered again: it is off the scale, and nothing stands there to take.
    await expect(page.getByRole("status", { name: /the simulated scale shows/ })).toHaveText("0.00");
    await expect(page.getByRole("button", { name: "Folded in, look at 0:30" })).toBeDisabled();
    await page.getByRole("button", { name: "pour what is missing" }).first().click();
    await page.getByRole("button", { name: "Folded in, look at 0:30" }).click();
    // The next part before the half hour is over wants a reason.
    if (at > 0) await page.getByRole("alert").getByRole("button", { name: "trial", exact: true }).click();
    await expect(page.getByText(new RegExp(`${at + 1}\\.0\\d of 4\\.00 g planned`))).toBeVisible();
    await expect(page.getByText(/Do not judge before/)).toBeVisible();
  }
  await expect(page.getByText("All that was planned is in.")).toBeVisible();
  await page.getByRole("button", { name: "Enough, next step" }).click();
  await expect(page.getByRole("heading", { level: 2, name: "Read the pH again" })).toBeVisible();
});
