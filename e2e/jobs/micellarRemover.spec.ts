import {
  activeMatter,
  beginJob,
  closeBatch,
  inThisOrder,
  makeBatch,
  middleOfTarget,
  readPh,
  reasonIfAsked,
  writeSheet,
} from "../testing/job";
import { expect, test } from "../testing/test";

test.use({ ownApplication: "jobs" });

test("Lights Down micellar remover, 500 g, near the eye: cold, clear, and a first dose that only probes", async ({ page }) => {
  test.setTimeout(300_000);
  await writeSheet(page, {
    name: "Lights Down micellar remover",
    aim: "micellar-water",
    batch: "500",
    recipe: `Phase A
distilled water to 100
glycerin 2 %
EDTA 0.1 %
D-panthenol 0.5 %
Phase B
poloxamer 184 2 %
PEG-6 caprylic/capric glycerides 1.5 %
disodium cocoamphodiacetate 1 %
Phase C
phenoxyethanol + ethylhexylglycerin 0.9 %`,
  });
  // 2 × 1.00 + 1.5 × 0.99 + 1 × 0.38
  await expect(activeMatter(page)).toHaveText(/^3\.8\d$/);
  await page.getByRole("checkbox", { name: /near the eye/ }).check();
  await expect(page.getByRole("region", { name: "pH", exact: true })).toContainText("the eye area");
  const batch = await beginJob(page);
  const met = await makeBatch(page, {
    "Read the pH": async (of) => {
      await expect(of.getByText(/^belongs between 6.5 and 7/)).toBeVisible();
      const middle = await middleOfTarget(of);
      await of.getByLabel("pH", { exact: true }).fill("8.4");
      await of.getByRole("button", { name: "Take the reading" }).click();
      const grams = of.getByLabel(/^Really added, g of citric acid/);
      await expect(grams).toBeVisible();
      // The weakest buffer of all: no more than a probing dose, and it says so.
      expect(Number(await grams.inputValue())).toBeLessThan(1);
      await expect(of.getByText(/probing dose/i).first()).toBeVisible();
      const taken = of.getByRole("button", { name: "Dosed, start 2:00" });
      await expect(taken).toBeEnabled();
      await taken.click();
      await readPh(of, middle);
      await of.getByRole("button", { name: "The pH is right, next step" }).click();
      await reasonIfAsked(of);
    },
  });
  expect(met.some(({ title }) => /Heat|Warm|Melt/.test(title))).toBe(false);
  inThisOrder(met, "water", "Read the pH", "rest", "Judge");
  const record = await closeBatch(page, batch, "489");
  await expect(record).toContainText("Yield 489.0 g");
});
