import { addLine, expect, saved, test } from "./testing/test";

test("from an empty board to a printed weighing sheet, and found again after a restart", async ({ start, folder, browser }) => {
  test.setTimeout(240_000);
  const environment = { TENSIDRUM_DATA: folder };
  let application = await start(environment, ["--empty"]);
  let page = await browser.newPage({ baseURL: application.address });

  await page.goto("/");
  await expect(page.getByText("Nothing resting, nothing due.")).toBeVisible();
  await page.getByRole("button", { name: "New formula" }).first().click();
  await expect(page.getByRole("textbox", { name: "Name of the formula" })).toHaveValue("");
  await page.getByRole("textbox", { name: "Name of the formula" }).fill("Understudy shampoo");
  await page.getByRole("combobox", { name: "What it should be" }).selectOption("everyday shampoo");
  await page.getByRole("textbox", { name: "batch" }).fill("600");

  await addLine(page, "olefin sulfonate 40", "15");
  await addLine(page, "cocamidopropyl betaine", "14");
  await addLine(page, "coco-glucoside", "4,4");
  // 15 × 0.39 + 14 × 0.30 + 4.4 × 0.52 = 5.85 + 4.20 + 2.288
  await expect(page.getByRole("region", { name: "Active matter" }).locator("output")).toHaveText("12.34");
  await expect(page.getByText("in usual range")).toBeVisible();
  await expect(page.getByLabel("Distilled or deionised water, percent")).toHaveValue("66.60");
  // 66.6 % of 600 g
  await expect(page.getByRole("row", { name: /Distilled or deionised water/ })).toContainText("399.60");
  await expect(saved(page)).toBeVisible();

  await page.getByRole("textbox", { name: "Note for version 1" }).fill("First try.");
  await page.getByRole("button", { name: "Finalise version 1" }).click();
  await expect(page.getByText("This version is final and does not change.")).toBeVisible();
  await expect(page.getByLabel("Coco-glucoside, percent")).not.toBeEditable();
  await page.getByRole("link", { name: "Weighing sheet" }).click();
  await expect(page.getByRole("heading", { name: "Understudy shampoo" })).toBeVisible();
  await expect(page.getByRole("row", { name: /Sodium C14-16/ })).toContainText("90.00");
  await expect(page.getByRole("row", { name: /^sum/ })).toContainText("600.00");
  await expect(page.getByRole("checkbox")).toHaveCount(4);
  await page.emulateMedia({ media: "print" });
  await expect(page.getByRole("button", { name: "Print" })).toBeHidden();
  await expect(page.getByRole("heading", { name: "Understudy shampoo" })).toBeVisible();
  await page.close();

  expect(await application.stop()).toBe(0);
  application = await start(environment);
  page = await browser.newPage({ baseURL: application.address });
  await page.goto("/");
  // The first start was told to begin empty; the second does not change that.
  await expect(page.getByRole("list", { name: "Formulas" }).getByRole("listitem")).toHaveCount(1);
  await page.getByRole("heading", { name: "Understudy shampoo" }).getByRole("link").click();
  await expect(page.getByLabel("Coco-glucoside, percent")).toHaveValue("4.40");
  await expect(page.getByText("First try.")).toBeVisible();

  await page.getByRole("button", { name: "New draft from v1" }).click();
  await expect(page.getByText("v2, draft")).toBeVisible();
  await page.getByLabel("Coco-glucoside, percent").fill("5");
  // 5.85 + 4.20 + 5 × 0.52, in the list of versions as it is typed
  await expect(page.getByRole("region", { name: "Versions" }).getByRole("listitem").filter({ hasText: "draft" })).toContainText("12.65 %");
  await expect(saved(page)).toContainText(/saved \d\d:\d\d/);
  await page.getByRole("link", { name: "v1", exact: true }).click();
  await expect(page.getByLabel("Coco-glucoside, percent")).toHaveValue("4.40");
  await page.close();
});
