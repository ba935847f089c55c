import { expect, FAILED_LOAD, saved, test } from "./testing/test";

// A form that must be fixed is answered with 422.
test.use({ allowedConsole: [FAILED_LOAD], ownApplication: "shelf" });

test("a lot comes to the shelf, some of it is used, a weighing corrects the books", async ({ page }) => {
  await page.goto("/shelf");
  await expect(page.getByRole("region", { name: "Cleansers" })).toContainText("412 g");
  await page.getByRole("link", { name: "Receive a lot" }).click();
  await page.getByLabel("Material").selectOption("Lauramine oxide");
  await page.getByLabel("Amount in the pack").fill("a lot");
  await page.getByRole("button", { name: "Put it on the shelf" }).click();
  await expect(page.getByText("Give what came in the pack, in g or kg: 500, 1.2 kg.")).toBeVisible();
  await expect(page.getByText(/Give the lot a code/)).toBeVisible();
  await expect(page.getByLabel("Amount in the pack")).toHaveValue("a lot");
  await page.getByLabel("Amount in the pack").fill("1,2 kg");
  await page.getByLabel("Lot code, as written on it").fill("LO-1");
  await page.getByLabel("Strength by its certificate").fill("29,4");
  await page.getByLabel("Price of the pack").fill("9.60");
  await page.getByRole("button", { name: "Put it on the shelf" }).click();

  const lot = page.getByRole("article", { name: "Lot LO-1" });
  await expect(lot).toContainText("1200 g of 1200 g");
  await expect(lot).toContainText("certificate 29.4 %");
  await expect(lot).toContainText("8.00 € a kilogram");
  await lot.getByLabel("grams").fill("1300");
  await lot.getByRole("button", { name: "Use some" }).click();
  await expect(lot.getByRole("alert")).toContainText("Only 1200 g are free.");
  await expect(lot.getByLabel("grams")).toHaveValue("1300");
  await lot.getByLabel("grams").fill("84");
  await lot.getByLabel("why").fill("Green Room trial");
  const use = lot.getByRole("button", { name: "Use some" });
  let sent = 0;
  page.on("request", (request) => (sent += request.method() === "POST" ? 1 : 0));
  await use.focus();
  await page.keyboard.down("Enter");
  await expect(lot).toContainText("1116 g of 1200 g");
  // The button was off while the form was sent. Whoever works by keys goes on from it, and a key still held sends nothing more.
  await page.keyboard.down("Enter");
  await page.keyboard.up("Enter");
  await expect(use).toBeFocused();
  expect(sent).toBe(1);
  await lot.getByLabel("grams").fill("1110,5");
  await lot.getByRole("button", { name: "Correct to a weighing" }).click();
  await expect(lot).toContainText("1110.5 g of 1200 g");
  const books = page.getByRole("table", { name: /Stock ledger/ }).getByRole("row");
  await expect(books.nth(1)).toContainText("corrected: weighed back");
  await expect(books.nth(1)).toContainText("−5.5");
  await expect(books.nth(2)).toContainText("used: Green Room trial");
  await expect(books.nth(3)).toContainText("+1200.0");
  // Something was taken from it: it is part of the books.
  await expect(lot.getByRole("button", { name: "Delete the lot" })).toHaveCount(0);
});

test("the sentence of the shelf narrows it, forgives spelling, finds a lot by its code, and looks in the library", async ({ page }) => {
  await page.goto("/shelf");
  await page.getByRole("combobox", { name: "Of which charge" }).selectOption("amphoteric charge");
  await expect(page.getByRole("link", { name: /Glycerin/ })).toHaveCount(0);
  await expect(page.getByRole("link", { name: "Cocamidopropyl betaine" })).toBeVisible();
  await page.goto("/shelf");
  const find = page.getByRole("searchbox", { name: "Name, INCI name, role or lot" });
  await find.fill("pantenol");
  await find.press("Enter");
  await expect(page.getByRole("region", { name: "Care, feel" }).getByRole("listitem")).toHaveCount(1);
  await expect(page.getByRole("region", { name: "Care, feel" }).getByRole("link", { name: "D-panthenol" })).toBeVisible();
  await find.fill("b-131");
  await find.press("Enter");
  await expect(page.getByRole("link", { name: "Cocamidopropyl betaine" })).toBeVisible();
  await find.fill("poloxamer");
  await find.press("Enter");
  await page.getByRole("link", { name: "Look in the library" }).click();
  await expect(page.getByRole("combobox", { name: "Where it stands" })).toHaveValue("library");
  await page
    .getByRole("link", { name: /Poloxamer/ })
    .first()
    .click();
  await expect(page.getByRole("heading", { name: "Facts, and how sure" })).toBeVisible();
  await expect(page.getByRole("heading", { name: "No lot yet" })).toBeVisible();
});

test("a lot on a line of the Sheet changes the active matter, and prices of the shelf give the cost", async ({ page }) => {
  await page.goto("/sheet/5ea50000-0000-4000-8000-00000000c100");
  const active = page.getByRole("region", { name: "Active matter" }).locator("output");
  await expect(active).toHaveText("12.34");
  await page.getByRole("button", { name: "Cocamidopropyl betaine", exact: true }).click();
  const lots = page.getByRole("group", { name: "weighed from" });
  await expect(lots.getByRole("checkbox")).toHaveCount(2);
  // 14 % of a 30.4 % betaine instead of a 30 % one: 0.056 % more.
  await lots.getByRole("checkbox", { name: /B-114/ }).check();
  await expect(active).toHaveText("12.39");
  await expect(page.getByText(/Cost \d\.\d\d € for 100 g/)).toBeVisible();
  await expect(page.getByText(/has no price: Citric acid 50 %/)).toBeVisible();
  // 84 g in all: 34 g of the other, 29.7 %, and 50 of the first make 30.12 %, 0.017 % more than the usual.
  await lots.getByRole("checkbox", { name: /B-131/ }).check();
  await lots.getByLabel("Grams of lot B-131").fill("34");
  await expect(lots).toContainText("Together 30.12 % active.");
  await expect(active).toHaveText("12.35");
  await lots.getByLabel("Grams of lot B-114").fill("40");
  await expect(lots).toContainText("10 g of the line are not covered.");
  await lots.getByLabel("Grams of lot B-114").fill("");
  await expect(saved(page)).toContainText(/saved \d\d/);
  await page.reload();
  await expect(active).toHaveText("12.35");
  await page.getByRole("button", { name: "Cocamidopropyl betaine", exact: true }).click();
  await expect(lots.getByLabel("Grams of lot B-131")).toHaveValue("34");
  await lots.getByRole("checkbox", { name: /B-131/ }).uncheck();
  await lots.getByRole("checkbox", { name: /B-114/ }).uncheck();
  await expect(active).toHaveText("12.34");
  await expect(saved(page)).toContainText(/saved \d\d/);
});

test("what is first to see to leads to its lot", async ({ page }) => {
  await page.goto("/shelf");
  const first = page.getByRole("region", { name: "Needs attention" }).getByRole("listitem");
  // A run may begin before midnight and get here after it.
  await expect(first.nth(0)).toContainText(/Lemon essential oil expired [67] days ago\./);
  await expect(first.nth(1)).toContainText(/Birch leaf water expires in [32] days\./);
  await expect(first.nth(2)).toContainText(/Juniper berry essential oil expires in 2[10] days\./);
  await expect(first.last()).toContainText("Sodium benzoate is down to a tenth of its pack.");
  await first.last().getByRole("link", { name: "Sodium benzoate" }).click();
  await expect(page.getByRole("article", { name: "Lot SB-6" })).toContainText("3.1 g of 100 g");
});

test("a list comes in: columns matched, rows shown, the good ones stored, and the Sheet counts with one of them", async ({ page }) => {
  await page.goto("/shelf");
  await page.getByRole("link", { name: "Import a list" }).click();
  await page.getByLabel("or its rows").fill("only one column");
  await page.getByRole("button", { name: "Read it" }).click();
  await expect(page.getByRole("alert")).toContainText("Only one column was found.");
  await expect(page.getByLabel("or its rows")).toHaveValue("only one column");
  const list = [
    "Ingredient;Lot No.;Size;certificate;Price",
    "cocamidopropil betain;B-200;1 kg;31,5;8,20",
    "Glycerin;GL-9;plenty;;3",
    "moondust;M-1;10;;",
    "Sodium benzoate;SB-7;100;;=4+4",
  ].join("\n");
  await page.getByLabel("or its rows").fill(list);
  await page.getByRole("button", { name: "Read it" }).click();
  await expect(page.getByText("1 of 4 rows can be brought in.")).toBeVisible();
  await expect(page.getByRole("row", { name: /GL-9/ })).toContainText("Give what came in the pack");
  await expect(page.getByRole("row", { name: /moondust/ })).toContainText("is not in the library");
  await expect(page.getByRole("row", { name: /SB-7/ })).toContainText("as a number");
  await expect(page.getByRole("row", { name: /B-200/ })).toContainText("Cocamidopropyl betaine a guess for");
  // The column of the certificate was not guessed.
  await page.getByLabel("strength by its certificate, %").selectOption("certificate");
  await page.getByRole("button", { name: "Read it again so" }).click();
  await expect(page.getByRole("row", { name: /B-200/ })).toContainText("31,5");
  await page.getByRole("button", { name: "Put the ticked rows on the shelf" }).click();
  await expect(page.getByRole("heading", { name: "The shelf" })).toBeVisible();

  await page.goto("/sheet/5ea50000-0000-4000-8000-00000000c100");
  await page.getByRole("button", { name: "Cocamidopropyl betaine", exact: true }).click();
  // 14 % of a 31.5 % betaine instead of a 30 % one: 0.21 % more.
  await page.getByRole("group", { name: "weighed from" }).getByRole("checkbox", { name: /B-200/ }).check();
  await expect(page.getByRole("region", { name: "Active matter" }).locator("output")).toHaveText("12.55");
  await page.getByRole("button", { name: "Undo" }).click();

  // The same list again: what stands there already is told.
  await page.goto("/shelf/import");
  await page.getByLabel("or its rows").fill(list);
  await page.getByRole("button", { name: "Read it" }).click();
  await expect(page.getByRole("row", { name: /B-200/ })).toContainText("stands on the shelf already");
  await expect(page.getByRole("button", { name: "Put the ticked rows on the shelf" })).toBeDisabled();
});

test("the shelf works with scripts switched off", async ({ browser, application }) => {
  const context = await browser.newContext({ baseURL: application.address, javaScriptEnabled: false });
  const page = await context.newPage();
  await page.goto("/shelf");
  await page.getByRole("combobox", { name: "Which materials" }).selectOption("keep, ph");
  await page.getByRole("button", { name: "Show" }).click();
  await expect(page.getByRole("region", { name: "Cleansers" })).toHaveCount(0);
  await page.getByRole("link", { name: "Potassium sorbate" }).click();
  const lot = page.getByRole("article", { name: "Lot PS-6" });
  await lot.getByLabel("grams").fill("4");
  await lot.getByRole("button", { name: "Discard" }).click();
  await expect(lot).toContainText("60 g of 100 g");
  await context.close();
});
