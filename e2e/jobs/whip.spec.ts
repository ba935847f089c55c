import { activeMatter, allText, beginJob, closeBatch, inThisOrder, makeBatch, writeSheet } from "../testing/job";
import { expect, scriptsReady, test } from "../testing/test";

test.use({ ownApplication: "jobs" });

test("Footlight whip, 300 g: whipped hot, clay rubbed with a spoonful, cooled, preserved, whipped again, rested, whipped once more", async ({
  page,
}) => {
  test.setTimeout(300_000);
  await writeSheet(page, {
    name: "Footlight whip",
    aim: "whipped-cleanser",
    batch: "300",
    recipe: `Phase A
distilled water to 100
glycerin 20 %
Phase B
sodium cocoyl isethionate powder 27 %
cocamidopropyl betaine 18 %
stearic acid 5 %
cetyl alcohol 2 %
Phase C
kaolin 3 %
phenoxyethanol + ethylhexylglycerin 1 %
sweet orange oil 0.5 %`,
    temperatures: { A: "72", B: "72" },
  });
  // 27 × 0.84 + 18 × 0.30
  await expect(activeMatter(page)).toHaveText("28.08");
  const batch = await beginJob(page);
  const met = await makeBatch(page, {
    "Cool below": async (of) => {
      await of.getByLabel("What the thermometer shows, °C").fill("37");
      await of.getByRole("button", { name: "Record temperature" }).click();
      await expect(of.getByText("Last read: 37 °C.")).toBeVisible();
      await of.getByRole("button", { name: "Done, next step" }).click();
    },
  });
  inThisOrder(
    met,
    "isethionate",
    "Fats and water together",
    "Whip it hot",
    "Kaolin",
    "Cool below",
    "ethylhexylglycerin",
    "Whip it again",
    "rest",
    "Whip once more",
    "Judge",
  );
  expect(met.find(({ weighed }) => weighed.some(([name]) => name.includes("Kaolin")))?.text).toContain("spoonful");
  expect(allText(met)).toContain("dust mask");
  expect(allText(met)).not.toMatch(/never whisk/i);
  expect(allText(met)).toContain("weight before ÷ weight after");
  const record = await closeBatch(page, batch, "291");
  await expect(record).toContainText("37.0 °C");

  // A whip is looked at after hours already, and 100 g of it that fill 250 mL have taken up air.
  const id = batch.split("/").at(-1) ?? "";
  await page.goto(`/watch/${id}`);
  await scriptsReady(page);
  await page.getByRole("button", { name: "Watch it" }).click();
  await expect(page.getByRole("heading", { name: "First hours" })).toBeVisible();
  await page.goto(`/watch/${id}/lather?way=whipped`);
  await scriptsReady(page);
  await page.getByLabel("the foam weighs").fill("100");
  await page.getByLabel("and fills").fill("250");
  await page.getByRole("button", { name: "Keep it" }).click();
  await expect(page.getByRole("row", { name: /^foam weighs 0\.400 g\/mL/ })).toBeVisible();
  // 1.03 ÷ 0.4 is 2.575 times its volume.
  await expect(page.getByRole("row", { name: /^air taken up/ })).toContainText("15");
});
