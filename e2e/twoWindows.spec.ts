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
  await expect(other.getByRole("alert")).toContainText("changed in another window");
  await expect(other.getByRole("row", { name: "Coco-glucoside 6 % 5.00 %" })).toBeVisible();
  await expect(other.getByLabel(glucoside)).toHaveValue("6");

  await other.getByRole("button", { name: "Keep what stands here" }).click();
  await expect(saved(other)).toContainText(/saved \d\d/);
  await page.getByLabel(glucoside).fill("7");
  await page.getByRole("button", { name: "Take the other one" }).click();
  await expect(page.getByLabel(glucoside)).toHaveValue("6.00");
  await page.keyboard.press("Control+z");
  await expect(page.getByLabel(glucoside)).toHaveValue("7");
  await expect(saved(page)).toContainText(/saved \d\d/);
});

test("setting a version from a window that is behind changes nothing", async ({ page, context }) => {
  await beginFormula(page);
  await addLine(page, "coco-glucoside", "20");
  await expect(saved(page)).toContainText(/saved \d\d/);
  const other = await context.newPage();
  await other.goto(page.url());
  await page.getByLabel(glucoside).fill("21");
  await expect(saved(page)).toContainText(/saved \d\d/);
  await other.getByRole("button", { name: "Set version 1" }).click();
  await expect(other.getByRole("alert")).toContainText("changed in another window");
  await page.reload();
  await expect(page.getByText("v1, draft")).toBeVisible();
  await expect(page.getByLabel(glucoside)).toHaveValue("21.00");
});
