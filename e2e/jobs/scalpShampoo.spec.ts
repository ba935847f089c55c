import { activeMatter, allText, beginJob, closeBatch, inThisOrder, makeBatch, readPh, writeSheet } from "../testing/job";
import { expect, scriptsReady, test } from "../testing/test";
import { dataFolderOf } from "../testing/startApplication";
import { lookAt, madeEarlier } from "../testing/watchOver";

test.use({ ownApplication: "jobs" });

test("a suspended scalp shampoo, 500 g: the blend sheared in water, the dispersion into the batch that carries it, pH near neutral", async ({
  page,
}) => {
  test.setTimeout(300_000);
  await writeSheet(page, {
    name: "Rafters scalp shampoo",
    aim: "scalp-shampoo",
    batch: "500",
    recipe: `Phase A
distilled water to 100
Bentonite + xanthan gum suspending blend 1.4 %
Phase B
Sodium laureth sulfate (2 EO) 22 %
cocamidopropyl betaine 12 %
coco-glucoside 3 %
coco-glucoside + glyceryl oleate 1 %
peppermint oil 0.3 %
Phase C
zinc pyrithione 1.9 %
phenoxyethanol + ethylhexylglycerin 0.9 %
citric acid 50 % solution 0.2 %`,
  });
  // 22 × 0.275 + 12 × 0.30 + 3 × 0.52, and 0.63 × 0.52 of the glucoside in the superfat
  await expect(activeMatter(page)).toHaveText("11.54");
  const findings = page.getByRole("region", { name: "Findings" });
  await page.getByText(/^To consider/).click();
  await expect(findings).toContainText(/pyrithione/i);
  const batch = await beginJob(page);
  const met = await makeBatch(page, {
    "Read the pH": async (of) => {
      // Inside where it belongs no acid goes in at all.
      const [low, high] = [...(await of.getByText(/^belongs between/).innerText()).matchAll(/[\d.]+/g)].map(([number]) => Number(number));
      await readPh(of, (((low ?? 0) + (high ?? 0)) / 2).toFixed(2));
      await expect(of.getByLabel(/^Add, g of citric acid/)).toHaveCount(0);
      await of.getByRole("button", { name: "The pH is right, next step" }).click();
    },
  });
  inThisOrder(met, "Bentonite", "Cocamidopropyl betaine", "Zinc pyrithione", "rest");
  inThisOrder(met, "ethylhexylglycerin", "Read the pH");
  const dispersion = met.find(({ weighed }) => weighed.some(([name]) => name.includes("pyrithione")));
  expect(dispersion?.text).not.toMatch(/until (it is )?clear/i);
  const scent = met.find(({ weighed }) => weighed.some(([name]) => name.includes("eppermint")));
  expect(scent?.weighed.map(([name]) => name)).toEqual(expect.arrayContaining([expect.stringMatching(/^Coco-glucoside$/)]));
  expect(allText(met)).not.toMatch(/disodium edta/i);
  const record = await closeBatch(page, batch, "484");
  // Nothing was dosed: the planned gram of acid stayed in its bottle.
  const acid = record
    .getByRole("row", { name: /^Citric acid 50 %/ })
    .first()
    .getByRole("cell");
  await expect(acid.nth(1)).toHaveText("1.00");
  await expect(acid.nth(2)).toHaveText("");

  // What is suspended is watched for what settles.
  const id = batch.split("/").at(-1) ?? "";
  await page.goto(`/watch/${id}`);
  await scriptsReady(page);
  await page.getByRole("button", { name: "Watch it" }).click();
  await expect(page.getByRole("heading", { name: "Next day" })).toBeVisible();
  await madeEarlier(dataFolderOf(new URL(page.url()).origin), id, 15);
  await lookAt(page, id, { sample: "room", ago: 14, read: { "settled or floated up": "0" } });
  await lookAt(page, id, { sample: "room", ago: 8, read: { "settled or floated up": "1" } });
  await expect(page.getByRole("alert")).toHaveCount(0);
  await lookAt(page, id, { sample: "room", ago: 1, read: { "settled or floated up": "4" } });
  await expect(page.getByRole("alert")).toContainText("4 mm have settled or floated up");
  await expect(page.getByRole("img", { name: /^Settled, room: 0\.0 mm on day 1, 4\.0 mm on day 14/ })).toBeVisible();
});
