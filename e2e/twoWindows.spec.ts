import { addLine, beginFormula, expect, FAILED_LOAD, saved, test } from "./testing/test";

test.use({ allowedConsole: [FAILED_LOAD] });

const glucoside = "Coco-glucoside, percent";

test("the later of two windows is shown both values and chooses", async ({ page, context }) => {
  await beginFormula(page);
  await addLine(page, "coco-glucoside", "4");
  await expect(saved(page)).toContainText(/saved \d\d/);
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(other.getByLabel(glucoside)).toHaveValue("4.00");

  await page.getByLabel(glucoside).fill("5");
  await expect(saved(page)).toContainText(/saved \d\d/);
  await other.getByLabel(glucoside).fill("6");
  await expect(other.getByRole("alert")).toContainText("Another window changed the same cell.");
  await expect(other.getByRole("button", { name: "Coco-glucoside: take 5.00 %" })).toBeVisible();
  await expect(other.getByLabel(glucoside)).toHaveValue("6");

  await other.getByRole("button", { name: "Coco-glucoside: keep 6 %" }).click();
  await expect(saved(other)).toContainText(/saved \d\d/);
  await page.getByLabel(glucoside).fill("7");
  await page.getByRole("button", { name: "Coco-glucoside: take 6.00 %" }).click();
  await expect(page.getByLabel(glucoside)).toHaveValue("6.00");
  // The question is answered and gone; the caret is where it was about.
  await expect(page.getByLabel(glucoside)).toBeFocused();
  await page.keyboard.press("Control+z");
  await expect(page.getByLabel(glucoside)).toHaveValue("7");
  await expect(saved(page)).toContainText(/saved \d\d/);
});

test("setting a version from a window that is behind changes nothing", async ({ page, context }) => {
  await beginFormula(page);
  await page.getByRole("textbox", { name: "Name of the formula" }).fill("Prompt Box");
  await addLine(page, "coco-glucoside", "20");
  await expect(saved(page)).toContainText(/saved \d\d/);
  const other = await context.newPage();
  await other.goto(page.url());
  await page.getByLabel(glucoside).fill("21");
  await expect(saved(page)).toContainText(/saved \d\d/);
  await other.getByRole("button", { name: "Finalise version 1" }).click();
  // Nothing of the two is in each other's way: what the other window saved comes in, and the version can be set.
  await expect(other.getByLabel(glucoside)).toHaveValue("21.00");
  await page.reload();
  await expect(page.getByText("v1, draft")).toBeVisible();
  await expect(page.getByLabel(glucoside)).toHaveValue("21.00");
});

test("changes of different cells in two windows merge by themselves, and equal values are no question", async ({ page, context }) => {
  await beginFormula(page);
  await addLine(page, "coco-glucoside", "4");
  await addLine(page, "glycerin", "2");
  await expect(saved(page)).toContainText(/saved \d\d/);
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(other.getByLabel(glucoside)).toHaveValue("4.00");
  await page.getByLabel(glucoside).fill("5.250");
  await expect(saved(page)).toContainText(/saved \d\d/);

  await other.getByLabel("Glycerin, percent").fill("3");
  await expect(other.getByLabel(glucoside)).toHaveValue("5.25");
  await expect(saved(other)).toContainText(/saved \d\d/);
  await expect(other.getByRole("alert")).toHaveCount(0);
  // The first window brings the glycerin in with its next save; the same value typed there is no question.
  await page.getByLabel("Glycerin, percent").fill("3.00");
  await page.getByRole("textbox", { name: "Name of the formula" }).fill("Two hands");
  await expect(saved(page)).toContainText(/saved \d\d/);
  await expect(page.getByRole("alert")).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole("textbox", { name: "Name of the formula" })).toHaveValue("Two hands");
  await expect(page.getByLabel(glucoside)).toHaveValue("5.25");
  await expect(page.getByLabel("Glycerin, percent")).toHaveValue("3.00");
});

test("a tab closed right after typing has stored its text, and nobody is asked afterwards", async ({ page, context }) => {
  await beginFormula(page);
  await addLine(page, "coco-glucoside", "4");
  await expect(saved(page)).toContainText(/saved \d\d/);
  const address = page.url();
  const closed = await context.newPage();
  await closed.goto(address);
  await closed.getByLabel(glucoside).fill("8");
  await closed.close({ runBeforeUnload: true });
  await expect
    .poll(async () => {
      await page.goto(address);
      return page.getByLabel(glucoside).inputValue();
    })
    .toBe("8.00");
  await page.getByLabel(glucoside).fill("9");
  await expect(saved(page)).toContainText(/saved \d\d/);
  const later = await context.newPage();
  await later.goto(address);
  await expect(later.getByLabel(glucoside)).toHaveValue("9.00");
  await expect(later.getByRole("alert")).toHaveCount(0);
});

test("a reload keeps undo", async ({ page }) => {
  await beginFormula(page);
  await addLine(page, "coco-glucoside", "4");
  await page.getByLabel(glucoside).fill("5");
  await page.getByRole("textbox", { name: "Name of the formula" }).fill("Prompt Box");
  await expect(saved(page)).toContainText(/saved \d\d/);
  await page.reload();
  await expect(page.getByLabel(glucoside)).toHaveValue("5.00");
  await page.keyboard.press("Control+z");
  await expect(page.getByRole("textbox", { name: "Name of the formula" })).toHaveValue("");
  await page.keyboard.press("Control+z");
  await expect(page.getByLabel(glucoside)).toHaveValue("");
  await page.keyboard.press("Control+Shift+z");
  await expect(page.getByLabel(glucoside)).toHaveValue("5");
  await expect(saved(page)).toContainText(/saved \d\d/);
});
