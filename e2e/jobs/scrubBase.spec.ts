import { acknowledged } from "../testing/atTheBench";
import { addPart, allText, beginJob, closeBatch, fillAll, inThisOrder, makeBatch, writeSheet } from "../testing/job";
import { expect, scriptsReady, test } from "../testing/test";

test.use({ ownApplication: "jobs" });

test("a scrub base for others, 800 g, on a bought base without a line of water: grains last, by hand", async ({ page }) => {
  test.setTimeout(300_000);
  await writeSheet(page, {
    name: "Stage Hand scrub base",
    aim: "scrub",
    batch: "800",
    recipe: `Phase A
Mild liquid anionic + amphoteric pre-blend 83.4 %
Phase B
sunflower oil 5 %
polysorbate 20 2 %
pine needle oil 0.4 %
vitamin E 0.2 %
Phase C
phenoxyethanol + caprylyl glycol 1 %
pumice 8 %`,
  });
  // It is a base of unknown strength, and sold as 91 parts to which others add up to 9.
  await addPart(page, { name: "to finish", share: "100" });
  await page.getByRole("button", { name: "leave open for others" }).click();
  await page.getByLabel(/^What others may add to to finish, %/).fill("9");
  await page.getByLabel("What may be added to to finish").fill("scent and oils");
  const batch = await beginJob(page);
  const met = await makeBatch(page);
  inThisOrder(met, "pre-blend", "Scent and oils", "caprylyl glycol", "Pumice", "rest");
  expect(allText(met)).not.toMatch(/ 0(\.0+)? g (distilled )?water/);
  expect(met.some(({ weighed }) => weighed.some(([name]) => /water/i.test(name)))).toBe(false);
  const scent = met.find(({ weighed }) => weighed.some(([name]) => name.includes("Sunflower")));
  expect(scent?.weighed.map(([name]) => name)).toEqual(expect.arrayContaining([expect.stringContaining("Polysorbate 20")]));
  const record = await closeBatch(page, batch, "776");
  await expect(record).toContainText("Yield 776.0 g, 97.0 %");
  expect(met.some(({ title }) => title.startsWith("Draw the part"))).toBe(false);

  // Filled whole; the label says what may be added, and that water may not.
  await page.goto(`/fill/${batch.split("/").at(-1) ?? ""}`);
  await scriptsReady(page);
  const plan = page.getByRole("region", { name: "Plan" });
  await plan.getByRole("checkbox", { name: "Pump bottle, tall" }).uncheck();
  await plan.getByRole("checkbox", { name: "Wide jar" }).check();
  await plan.getByLabel("How many of Wide jar").fill("3");
  await page.getByRole("button", { name: "Fill by this plan" }).click();
  await fillAll(page, 5);
  await acknowledged(page);
  await page.getByRole("link", { name: "Labels" }).click();
  await scriptsReady(page);
  await page.getByLabel("put on it").selectOption("directions");
  await expect(page.getByRole("group", { name: /^Label of/ })).toContainText(/up to 9 g into every 91 g/);
  await expect(page.getByPlaceholder(/May be added: scent and oils\. No water/)).toBeVisible();
});
