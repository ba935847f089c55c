import { activeMatter, allText, beginJob, closeBatch, inThisOrder, makeBatch, writeSheet } from "../testing/job";
import { expect, test } from "../testing/test";

test.use({ ownApplication: "jobs" });

test("a travel powder, 60 g, without water: blended, oil rubbed into a part of it, no preservative while it is dry", async ({ page }) => {
  test.setTimeout(300_000);
  await writeSheet(page, {
    name: "Night Train powder",
    aim: "powder-cleanser",
    batch: "60",
    recipe: `Phase A
rice powder 38 %
kaolin 25 %
sodium cocoyl isethionate powder 20 %
colloidal oatmeal 12 %
Phase B
jojoba oil 4 %
sodium bicarbonate 1 %`,
  });
  // 20 × 0.84
  await expect(activeMatter(page)).toHaveText("16.80");
  const findings = page.getByRole("region", { name: "Findings" });
  await expect(findings).not.toContainText(/No preservative is/i);
  await expect(page.getByText(/^Water activity \d/)).toHaveCount(0);
  await expect(page.getByText(/None is needed while it is dry: take it with a dry spoon/)).toBeVisible();
  const batch = await beginJob(page);
  const met = await makeBatch(page);
  expect(allText(met)).toContain("dust mask");
  inThisOrder(met, "Rice powder", "Jojoba", "Blend it into the bowl", "rest", "Judge");
  expect(met.some(({ title }) => title.includes("pH"))).toBe(false);
  expect(met.some(({ title }) => title.includes("water"))).toBe(false);
  expect(allText(met)).toContain("take it with a dry spoon");
  expect(met.at(-1)?.text).not.toContain("pH now");
  const record = await closeBatch(page, batch, "58");
  await expect(record.getByRole("row", { name: /^Rice powder/ })).toContainText("22.8");
});
