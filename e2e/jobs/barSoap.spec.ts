import { allText, beginJob, closeBatch, inThisOrder, makeBatch, writeSheet } from "../testing/job";
import { expect, test } from "../testing/test";

test.use({ ownApplication: "jobs" });

test("boathouse soap from bars, 2.4 kg: melted, stirred every two hours off the heat, thinned hot, its pH read and never lowered", async ({
  page,
}) => {
  test.setTimeout(150_000);
  await writeSheet(page, {
    name: "Boathouse soap",
    aim: "soap-wash",
    batch: "2400",
    recipe: `Phase A
distilled water to 100
Phase B
grated bar soap 6.5 %
Phase C
glycerin 1.2 %
rosemary oil 0.2 %`,
    temperatures: { A: "80", B: "80" },
  });
  // 80 % of 6.5 %
  await expect(page.getByRole("region", { name: "Active matter" }).locator("output")).toHaveText("5.20");
  const findings = page.getByRole("region", { name: "Findings" });
  await expect(findings).not.toContainText(/amphoteric/i);
  await expect(findings).not.toContainText(/Add (an )?acid/i);

  const batch = await beginJob(page);
  const met = await makeBatch(page, {
    "Check the pH": async (of) => {
      await expect(
        of
          .getByText(/acid/i)
          .filter({ hasText: /split|never|not/i })
          .first(),
      ).toBeVisible();
      await of.getByLabel("pH", { exact: true }).fill("9.8");
      await of.getByRole("button", { name: "Take the reading" }).click();
      await expect(of.getByText("Last read: pH 9.80.")).toBeVisible();
      await of.getByRole("button", { name: "Done, next step" }).click();
    },
  });
  inThisOrder(met, "water", "Heat the water", "bar soap", "Top up", "osemary", "Check the pH");
  const melt = met.find(({ weighed }) => weighed.some(([name]) => name.includes("bar soap")));
  expect(melt?.text).toMatch(/every (two|2) hours/i);
  expect(allText(met)).not.toMatch(/citric|lactic/i);
  const record = await closeBatch(page, batch, "2330");
  await expect(record).toContainText("pH 9.80");
});
