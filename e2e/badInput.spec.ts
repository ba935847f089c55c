import { addLine, beginFormula, expect, FAILED_LOAD, saved, test } from "./testing/test";

// A file that cannot be read is answered with 422.
test.use({ allowedConsole: [FAILED_LOAD] });

test("a name that is HTML stays text on every page", async ({ page }) => {
  const name = `<img src=x onerror="document.title='broken'">`;
  await beginFormula(page);
  await page.getByRole("textbox", { name: "Name of the formula" }).fill(name);
  await addLine(page, "glycerin", "2");
  await expect(saved(page)).toContainText(/saved \d\d/);
  const sheet = page.url();
  for (const path of ["/", `${sheet}/1/card`, sheet.replace("/sheet/", "/weighing/") + "/1"]) {
    await page.goto(path);
    await expect(page.getByText(name).first()).toBeVisible();
    await expect(page.locator("img[src=x]")).toHaveCount(0);
    expect(await page.title()).not.toBe("broken");
  }
});

test("a whole novel is answered in a sentence, and the text stays", async ({ page }) => {
  await beginFormula(page);
  const novel = "It was a wet evening by the lake and the greasepaint would not come off. ".repeat(4000).trimEnd();
  const recipe = page.getByLabel("Recipe as it is written");
  await recipe.fill(novel);
  await expect(page.getByRole("alert")).toContainText("This is longer than a recipe");
  await expect(recipe).toHaveValue(novel);
  await recipe.fill("4 g coco glucoside\nwater to 100");
  await page.getByRole("button", { name: "Read it into the sheet" }).click();
  await expect(page.getByLabel("Coco-glucoside, percent")).toHaveValue("4.00");
});

test("300 lines come in, are read and saved; 301 are too many, and the text stays", async ({ page }) => {
  test.setTimeout(240_000);
  const file = (lines: number) =>
    JSON.stringify({
      format: "tensidrum-formula/1",
      name: `${lines} lines`,
      profile: "body-wash",
      batchGrams: 1000,
      scales: [],
      phases: [{ id: "A" }],
      lines: [
        { id: "water", phase: "A", material: "water-distilled", qs: true },
        ...Array.from({ length: lines - 1 }, (_, at) => ({ id: `g${at}`, phase: "A", material: "glycerin", percent: 0.1 })),
      ],
    });
  await page.goto("/import");
  await page.getByLabel("or its text").fill(file(301));
  await page.getByRole("button", { name: "Import", exact: true }).click();
  await expect(page.getByRole("alert")).toContainText("300");
  await expect(page.getByLabel("or its text")).toHaveValue(file(301));
  await page.getByLabel("or its text").fill(file(300));
  await page.getByRole("button", { name: "Import", exact: true }).click();
  await expect(page.getByText("300 lines").first()).toBeVisible();
  await expect(page.getByLabel("Distilled or deionised water, percent")).toHaveValue("70.10");
  await page.getByLabel("Glycerin, percent").first().fill("0.2");
  await expect(page.getByLabel("Distilled or deionised water, percent")).toHaveValue("70.00");
  await expect(saved(page)).toContainText(/saved \d\d/);
});

test("a file of a newer version says so, and nothing is lost", async ({ page }) => {
  const newer = '{"format":"tensidrum-formula/2","name":"From the future"}';
  await page.goto("/import");
  await page.getByLabel("or its text").fill(newer);
  await page.getByRole("button", { name: "Import", exact: true }).click();
  await expect(page.getByRole("alert")).toContainText("tensidrum-formula/2");
  await expect(page.getByLabel("or its text")).toHaveValue(newer);
});

test("a measured pH stands in the corridor, and one that cannot be is answered at its field", async ({ page }) => {
  await beginFormula(page);
  await addLine(page, "coco-glucoside", "20");
  const ph = page.getByLabel("Measured pH");
  await ph.fill("15");
  await expect(page.getByText("A pH lies from 0 to 14.")).toBeVisible();
  await expect(ph).toHaveValue("15");
  await ph.fill("8,5");
  await expect(page.getByRole("img", { name: /pH corridor:.*measured 8.5/ })).toBeVisible();
  await expect(saved(page)).toContainText(/saved \d\d/);
  await page.reload();
  await expect(page.getByLabel("Measured pH")).toHaveValue("8.5");
});
