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

test("a hand gel, 900 g: its forecast is alkaline, it is brought in by drops of acid, and what was dosed goes into the next version", async ({
  page,
}) => {
  test.setTimeout(180_000);
  await writeSheet(page, {
    name: "Prop Room hand gel",
    aim: "hand-wash",
    batch: "900",
    recipe: `Phase A
distilled water to 100
Phase B
Xanthan gum, clear grade 0.8 %
glycerin 4 %
Phase C
decyl glucoside 14 %
cocamidopropyl betaine 9 %
Phase D
Benzyl alcohol + dehydroacetic acid blend 0.8 %
D-panthenol 1 %`,
  });
  // 14 × 0.52 + 9 × 0.30
  await expect(activeMatter(page)).toHaveText("9.98");
  await expect(page.getByRole("region", { name: "pH", exact: true })).toContainText(/Plan about [\d.]+ g .* of citric acid 20 %/);

  const batch = await beginJob(page);
  let dosed = "";
  const met = await makeBatch(page, {
    "Read the pH": async (of) => {
      await expect(of.getByText(/^Estimated from its lines it stands at about pH/)).toBeVisible();
      const middle = await middleOfTarget(of);
      await readPh(of, "8.90");
      const grams = of.getByLabel(/^Really added, g of citric acid/);
      await expect(grams).toBeVisible();
      dosed = await grams.inputValue();
      const taken = of.getByRole("button", { name: "Dosed, start 2:00" });
      await expect(taken).toBeEnabled();
      await taken.click();
      await expect(of.getByText("8.90 before this dose")).toBeVisible();
      await expect(of.getByText(`${Number(dosed).toFixed(2)} g of citric acid`).first()).toBeVisible();
      await of.getByLabel("pH", { exact: true }).fill(middle);
      await expect(of.getByRole("button", { name: "Take the reading" })).toBeEnabled();
      await of.getByRole("button", { name: "Take the reading" }).click();
      await reasonIfAsked(of);
      const right = of.getByRole("button", { name: "The pH is right, next step" });
      await expect(right).toBeEnabled();
      await right.click();
      await reasonIfAsked(of);
    },
  });
  inThisOrder(met, "Slurry the gum", "Pour the slurry", "Decyl glucoside", "dehydroacetic", "Read the pH", "rest");
  const record = await closeBatch(page, batch, "872");
  await expect(record.getByRole("row", { name: /citric acid .*not in the formula/i }).first()).toContainText("not in the formula");
  await expect(record.getByRole("row", { name: /^together/ })).toContainText((900 + Number(dosed)).toFixed(2));
  await page.getByRole("link", { name: "New draft with what was done" }).click();
  await expect(page.getByRole("main")).toContainText(/citric acid/i);
  await page.getByRole("button", { name: /draft/i }).click();
  await expect(page.getByText("v2, draft")).toBeVisible();
  await expect(page.getByLabel(/^Citric acid.*percent/).first()).toBeVisible();
});
