import { beginJob, closeBatch, makeBatch, middleOfTarget, readPh, reasonIfAsked, writeSheet } from "../testing/job";
import { expect, scriptsReady, test } from "../testing/test";

test.use({ ownApplication: "jobs" });

test("the stock bottle, 120 g of 50 % citric acid, and its drops: dosed into 150 g of glucoside wash, its lot goes down by what was dosed", async ({
  page,
}) => {
  test.setTimeout(360_000);
  await page.goto("/shelf/make/solution");
  await scriptsReady(page);
  await page.getByLabel("dissolve").selectOption("citric-acid-anhydrous");
  await page.getByLabel("strength, % by mass").fill("50");
  await page.getByLabel("how much, g").fill("120");
  // Of a powder of 99.5 % it takes a little more than 60 g.
  await expect(page.getByRole("region", { name: "Weigh" })).toContainText(/60\.[23]\d? g/);
  await page.getByRole("button", { name: "It is made, put it on the shelf" }).click();
  const label = page.getByRole("article");
  await expect(label).toContainText("50 % solution");
  await expect(label).toContainText(/made \d+ \w+ \d{4}\s*discard \d+ \w+ \d{4}/);

  await writeSheet(page, {
    name: "Glucoside trial",
    aim: "hand-wash",
    batch: "150",
    recipe: "distilled water to 100\ndecyl glucoside 18 %",
  });
  await expect(page.getByRole("region", { name: "pH", exact: true })).toContainText("Plan about");
  const batch = await beginJob(page);
  let dosed = 0;
  await makeBatch(page, {
    "Read the pH": async (of) => {
      const middle = await middleOfTarget(of);
      const acid = of.getByRole("combobox", { name: "acid" });
      const own = acid.getByRole("option", { name: /citric acid.*50 % solution, lot/ });
      await acid.selectOption((await own.textContent()) ?? "");
      await of.getByText(/^Drops of citric acid.*50 %/i).click();
      await of.getByLabel("drops", { exact: true }).fill("20");
      await of.getByLabel(/^Together, g of drops/).fill("1.06");
      await of.getByRole("button", { name: "Keep it" }).click();
      await expect(of.getByText(/one is 53 mg/)).toBeVisible();
      await readPh(of, "10.60");
      const grams = of.getByLabel(/^Really added, g of citric acid/);
      const taken = of.getByRole("button", { name: /^Dosed/ });
      const anyway = of.getByText("Dose all the same", { exact: true });
      // So little is buffered that the advice is not to dose so strong an acid: two drops go in all the same.
      await expect(anyway).toBeVisible();
      await expect(of.locator("main section").first()).toContainText(/weaker|diluted|thinner/i);
      await anyway.click();
      await grams.fill("0.11");
      dosed = Number(await grams.inputValue());
      expect(dosed).toBeGreaterThan(0);
      await expect(taken).toBeEnabled();
      await taken.click();
      await reasonIfAsked(of);
      await of.getByLabel("pH", { exact: true }).fill(middle);
      await expect(of.getByRole("button", { name: "Take the reading" })).toBeEnabled();
      await of.getByRole("button", { name: "Take the reading" }).click();
      await reasonIfAsked(of);
      await of.getByRole("button", { name: "The pH is right, next step" }).click();
      await reasonIfAsked(of);
    },
  });
  const record = await closeBatch(page, batch, "144");
  const row = record.getByRole("row", { name: /^citric acid.*not in the formula/i });
  await expect(row).toContainText(dosed.toFixed(2));
  await page.goto("/shelf");
  await page
    .getByRole("region", { name: "Made here" })
    .getByRole("link", { name: /Citric acid.*50 % solution/i })
    .first()
    .click();
  await expect(page.getByRole("table", { name: /Stock ledger/ })).toContainText(`−${dosed.toFixed(2)}`);
});
