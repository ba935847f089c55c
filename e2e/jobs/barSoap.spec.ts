import { activeMatter, allText, beginJob, closeBatch, inThisOrder, makeBatch, writeSheet } from "../testing/job";
import { expect, test } from "../testing/test";

test.use({ ownApplication: "jobs" });

test("boathouse soap from bars, 2.4 kg in a pot of 1.5 L: half of it, melted, stirred every two hours off the heat, thinned hot, its pH read and never lowered", async ({
  page,
}) => {
  test.setTimeout(300_000);
  await writeSheet(page, {
    name: "Boathouse soap",
    aim: "soap-wash",
    batch: "2400",
    recipe: `Phase A
2.2 litres of distilled water
Phase B
two bars of 78 g grated bar soap
Phase C
2 tablespoons of glycerin
rosemary oil, about 6 g`,
    temperatures: { A: "80", B: "80" },
  });
  // Two bars of 78 g in 2.4 kg are 6.5 %, and 80 % of a bar is soap.
  await expect(activeMatter(page)).toHaveText(/^5\.2\d$/);
  const findings = page.getByRole("region", { name: "Findings" });
  await expect(findings).not.toContainText(/amphoteric/i);
  await expect(findings).not.toContainText(/Add (an )?acid/i);

  // The largest pot holds 1.5 L: half of it, twice.
  await page.getByRole("button", { name: "How much to make" }).click();
  const pot = page.getByRole("form", { name: "To fit the largest pot" });
  await pot.getByLabel("What the largest pot holds").fill("1.5");
  await expect(pot.getByRole("status")).toContainText("2 rounds");
  await pot.getByRole("button", { name: /^Make 1,?[12]\d\d/ }).click();
  await expect(page.getByRole("textbox", { name: "batch" })).toHaveValue(/^1,?[12]\d\d/);
  await expect(activeMatter(page)).toHaveText(/^5\.2\d$/);

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
  const record = await closeBatch(page, batch, "1165");
  await expect(record).toContainText("pH 9.80");
});
