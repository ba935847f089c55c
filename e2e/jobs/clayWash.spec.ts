import { activeMatter, allText, beginJob, closeBatch, inThisOrder, makeBatch, writeSheet } from "../testing/job";
import { expect, test } from "../testing/test";

test.use({ ownApplication: "jobs" });

test("a clay wash for taking masks off, 400 g, cold, from its aim to its record", async ({ page }) => {
  test.setTimeout(300_000);
  await writeSheet(page, {
    name: "Mask Off clay wash",
    aim: "cream-cleanser",
    batch: "400",
    recipe: `Phase A water
distilled water to 100
kaolin 6 %
bentonite 1.5 %
Phase B gum
glycerin 5 %
xanthan gum 0.5 %
Phase C cleansers
coco-glucoside 9 %
cocamidopropyl betaine 8 %
roman chamomile oil 0.05 %
Phase D finish
phenoxyethanol + ethylhexylglycerin 1 %
lactic acid 0.2 %`,
  });
  // 9 × 0.52 + 8 × 0.30
  await expect(activeMatter(page)).toHaveText("7.08");
  await expect(page.getByLabel("Distilled or deionised water, percent")).toHaveValue("68.75");
  const findings = page.getByRole("region", { name: "Findings" });
  await page.getByText(/^To consider/).click();
  await expect(findings).toContainText(/clay/i);
  await expect(findings).toContainText(/challenge test/i);
  await expect(findings).not.toContainText(/clay.{0,40}for the eye/i);

  const batch = await beginJob(page);
  const met = await makeBatch(page);
  expect(met[0]?.text).toContain("dust mask");
  inThisOrder(met, "Kaolin", "Pour the slurry", "Cleansers into the water", "ethylhexylglycerin", "Read the pH", "rest");
  inThisOrder(met, "Slurry the gum", "Pour the slurry");
  inThisOrder(met, "Cocamidopropyl betaine", "Coco-glucoside", "Cleansers into the water");
  const scent = met.find(({ weighed }) => weighed.some(([name]) => name.includes("hamomile")));
  expect(scent?.weighed.map(([name]) => name)).toEqual(expect.arrayContaining([expect.stringContaining("Coco-glucoside")]));
  expect(scent?.weighed.find(([name]) => name.includes("hamomile"))?.[1]).toBe("0.20");
  const clays = met.find(({ weighed }) => weighed.some(([name]) => name.startsWith("Kaolin")));
  expect(clays?.weighed.map(([, grams]) => grams)).toEqual(["24.0", "6.0"]);
  expect(allText(met)).toContain("Clay unsettles a meter");
  expect(allText(met)).not.toMatch(/clay is food/i);
  const record = await closeBatch(page, batch, "388");
  await expect(record).toContainText("Yield 388.0 g, 97.");
  await expect(record.getByRole("row", { name: /^Kaolin/ })).toContainText("24.0");
});
