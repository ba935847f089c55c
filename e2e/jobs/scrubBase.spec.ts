import { allText, beginJob, closeBatch, inThisOrder, makeBatch, writeSheet } from "../testing/job";
import { expect, test } from "../testing/test";

test.use({ ownApplication: "jobs" });

test("a scrub base for others, 800 g, on a bought base without a line of water: grains last, by hand", async ({ page }) => {
  test.setTimeout(150_000);
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
  const batch = await beginJob(page);
  const met = await makeBatch(page);
  inThisOrder(met, "pre-blend", "Scent and oils", "caprylyl glycol", "Pumice", "rest");
  expect(allText(met)).not.toMatch(/ 0(\.0+)? g (distilled )?water/);
  expect(met.some(({ weighed }) => weighed.some(([name]) => /water/i.test(name)))).toBe(false);
  const scent = met.find(({ weighed }) => weighed.some(([name]) => name.includes("Sunflower")));
  expect(scent?.weighed.map(([name]) => name)).toEqual(expect.arrayContaining([expect.stringContaining("Polysorbate 20")]));
  const record = await closeBatch(page, batch, "776");
  await expect(record).toContainText("Yield 776.0 g, 97.0 %");
});
