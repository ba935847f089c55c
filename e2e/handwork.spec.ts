import type { Page } from "@playwright/test";
import { addLine, beginFormula, expect, foundMaterials, saved, test } from "./testing/test";

const names = (page: Page) => page.locator("tbody button[aria-expanded]").allTextContents();

async function threeLines(page: Page) {
  await beginFormula(page);
  await addLine(page, "glycerin", "2");
  await addLine(page, "cocamidopropyl betaine", "14");
  await addLine(page, "coco-glucoside", "4");
  await expect(saved(page)).toContainText(/saved \d\d/);
}

const water = "Distilled or deionised water";

test("keys alone: pick, type, go from cell to cell, move, take the rest, take out, undo", async ({ page }) => {
  await beginFormula(page);
  await page.locator("body").press("n");
  await expect(page.getByRole("textbox", { name: "Add a material" })).toBeFocused();
  await page.keyboard.type("cocamidopropil betain");
  await expect(page.getByRole("option", { name: /Cocamidopropyl betaine/ })).toBeVisible();
  const wanted = page.getByRole("option", { name: /Cocamidopropyl betaine/ });
  while ((await wanted.getAttribute("data-combobox-selected")) === null) await page.keyboard.press("ArrowDown");
  await page.keyboard.press("Enter");
  await page.keyboard.type("14");
  await expect(page.getByLabel("Cocamidopropyl betaine, percent")).toHaveValue("14");
  await page.keyboard.press("Shift+Enter");
  await expect(page.getByLabel(`${water}, percent`)).toBeFocused();
  await page.keyboard.press("Alt+ArrowDown");
  expect(await names(page)).toEqual(["Cocamidopropyl betaine", water]);
  await page.keyboard.press("Enter");
  await expect(page.getByRole("textbox", { name: "Add a material" })).toBeFocused();
  await page.keyboard.type("glycerin");
  await expect(foundMaterials(page).first()).toContainText("Glycerin");
  await page.keyboard.press("Enter");
  await page.keyboard.type("3");
  await page.keyboard.press("Alt+q");
  await expect(page.getByRole("radio", { name: "Glycerin is q.s. to 100 %" })).toBeChecked();
  await expect(page.getByLabel("Glycerin, percent")).toHaveValue("3.00");
  await expect(page.getByLabel(`${water}, percent`)).toHaveValue("83.00");
  await page.keyboard.press("Control+z");
  await expect(page.getByRole("radio", { name: `${water} is q.s. to 100 %` })).toBeChecked();
  await page.getByLabel("Glycerin, percent").focus();
  await page.keyboard.press("Alt+Backspace");
  await expect(page.getByLabel("Glycerin, percent")).toHaveCount(0);
  await page.keyboard.press("Control+z");
  await expect(page.getByLabel("Glycerin, percent")).toHaveValue("3");
  await page.keyboard.press("Control+Shift+z");
  await expect(page.getByLabel("Glycerin, percent")).toHaveCount(0);
  await expect(saved(page)).toContainText(/saved \d\d/);
});

test("who types faster than the page loads loses nothing", async ({ page }) => {
  await page.route(/assets\/(MaterialSearch|DragLines)-/, async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 1500));
    await route.continue();
  });
  await beginFormula(page);
  await page.getByRole("textbox", { name: "Add a material" }).focus();
  await page.keyboard.type("xanthan");
  await expect(foundMaterials(page).first()).toContainText("Xanthan gum");
  await expect(page.getByRole("textbox", { name: "Add a material" })).toBeFocused();
  await page.keyboard.press("Enter");
  await page.keyboard.type("0,4");
  await expect(page.getByLabel("Xanthan gum, percent")).toHaveValue("0,4");
  await expect(saved(page)).toContainText(/saved \d\d/);

  await page.reload();
  await page.getByLabel("Xanthan gum, percent").focus();
  await page.keyboard.press("End");
  await page.keyboard.type("1");
  await expect(page.getByRole("button", { name: "Move Xanthan gum" })).toBeAttached();
  await page.keyboard.type("2");
  await expect(page.getByLabel("Xanthan gum, percent")).toHaveValue("0.4012");
  await expect(saved(page)).toContainText(/saved \d\d/);
});

test("dragging a line by its grip moves it, and so do the keys on the grip", async ({ page }) => {
  await threeLines(page);
  const grip = page.getByRole("button", { name: "Move Coco-glucoside" });
  await page.getByRole("row", { name: /Coco-glucoside/ }).hover();
  const from = await grip.boundingBox();
  const to = await page.getByRole("row", { name: new RegExp(water) }).boundingBox();
  if (from === null || to === null) throw new Error("the rows are not on the screen");
  await page.mouse.move(from.x + 5, from.y + 10);
  await page.mouse.down();
  await page.mouse.move(from.x + 5, to.y + 6, { steps: 12 });
  await page.mouse.up();
  await expect.poll(() => names(page)).toEqual(["Coco-glucoside", water, "Glycerin", "Cocamidopropyl betaine"]);

  await page.getByRole("button", { name: "Move Glycerin" }).focus();
  await page.keyboard.press("Space");
  await page.waitForTimeout(100);
  await page.keyboard.press("ArrowDown");
  await page.waitForTimeout(300);
  await page.keyboard.press("Space");
  await expect.poll(() => names(page)).toEqual(["Coco-glucoside", water, "Cocamidopropyl betaine", "Glycerin"]);
  await expect(saved(page)).toContainText(/saved \d\d/);
  await page.reload();
  expect(await names(page)).toEqual(["Coco-glucoside", water, "Cocamidopropyl betaine", "Glycerin"]);
});

test("a certificate's strength, another phase, and typing that takes effect at once", async ({ page }) => {
  await threeLines(page);
  await page.getByRole("button", { name: "Cocamidopropyl betaine", exact: true }).click();
  await page.getByLabel("strength on the certificate").fill("32");
  // 14 × 0.32 + 4 × 0.52
  await expect(page.getByRole("region", { name: "Active matter" }).locator("output")).toHaveText("6.56");
  await page.getByRole("button", { name: "New phase" }).click();
  await page.getByLabel("Title of phase B").fill("cleansing");
  await page.getByLabel("Phase of this line").selectOption("B");
  await expect(page.getByText("nothing in it yet")).toHaveCount(0);
  await expect(saved(page)).toContainText(/saved \d\d/);
  await page.reload();
  await expect(page.getByLabel("Title of phase B")).toHaveValue("cleansing");
  expect((await names(page)).at(-1)).toBe("Cocamidopropyl betaine");
  await page.getByRole("button", { name: "Cocamidopropyl betaine", exact: true }).click();
  await expect(page.getByLabel("strength on the certificate")).toHaveValue("32.00");
});

test("findings come and go as it is typed, and lead to their line", async ({ page }) => {
  await threeLines(page);
  await page.getByLabel("What it should be").selectOption("face gel cleanser");
  await expect(page.getByText("in usual range")).toBeVisible();
  await page.getByLabel("Coco-glucoside, percent").fill("20");
  await expect(page.getByText("above its window")).toBeVisible();
  await addLine(page, "cetrimonium", "2");
  await expect(page.getByText(/1 stop/)).toBeVisible();
  await addLine(page, "olefin sulfonate 40", "2");
  await expect(page.getByText(/2 stop/)).toBeVisible();
  await page.getByRole("link", { name: "To the line" }).first().click();
  await expect(page.getByLabel("Cetrimonium chloride, percent")).toBeFocused();
});

test("a formula is deleted only with all its versions, after a second look", async ({ page }) => {
  await threeLines(page);
  const address = page.url();
  await page.getByRole("button", { name: "Delete formula" }).press("Enter");
  await expect(page.getByRole("dialog").getByRole("button", { name: "Cancel" })).toBeFocused();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("button", { name: "Delete formula" })).toBeFocused();
  await page.getByRole("button", { name: "Delete formula" }).click();
  await page.getByRole("dialog").getByRole("button", { name: "Delete formula" }).click();
  await expect(page).toHaveURL(/\/$/);
  const gone = await page.request.get(address);
  expect(gone.status()).toBe(404);
});
