import { readFileSync } from "node:fs";
import { addLine, beginFormula, expect, FAILED_LOAD, saved, test } from "./testing/test";

// A file that cannot be read is answered with 422.
test.use({ allowedConsole: [FAILED_LOAD] });

const CURTAIN_CALL = "/sheet/5ea50000-0000-4000-8000-00000000c100";

test("aim, skeleton, cure, version, trial, difference, out and in again with the same readings", async ({ page }) => {
  test.setTimeout(240_000);
  await beginFormula(page);
  await page.getByRole("textbox", { name: "Name of the formula" }).fill("Stage Door wash");
  await page.getByRole("combobox", { name: "What it should be" }).selectOption("body wash");
  await expect(page.getByRole("button", { name: "Use this formula" })).toBeVisible();
  await page.getByRole("combobox", { name: "Formulation style" }).selectOption("sulfate-free");
  // What the aim changes is told above the button and moves it.
  await expect(page.getByText(/The new aim/)).toBeVisible();
  await page.getByRole("button", { name: "Use this formula" }).click();
  await expect(page.getByLabel("Cocamidopropyl betaine, percent")).toBeVisible();
  await expect(page.getByText("in usual range")).toBeVisible();
  await expect(page.getByText("No issues.")).toBeVisible();

  // Too much preservative, fixed in one click and taken back with undo.
  await page.getByLabel("Sodium benzoate, percent").fill("1,4");
  await page.getByRole("button", { name: "Set 1.00 %" }).click();
  await expect(page.getByLabel("Sodium benzoate, percent")).toHaveValue("1.00");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByLabel("Sodium benzoate, percent")).toHaveValue("1,4");
  await page.getByRole("button", { name: "Set 1.00 %" }).click();

  // A changed aim says what it changes.
  await page.getByRole("combobox", { name: "Formulation style" }).selectOption("plant-only");
  await expect(page.getByText(/The new aim adds: .*not part of the plant-only style/)).toBeVisible();
  await page.getByRole("combobox", { name: "Formulation style" }).selectOption("sulfate-free");
  await expect(page.getByText(/The new aim removes/)).toBeVisible();
  await expect(saved(page)).toContainText(/saved \d\d:\d\d/);

  await page.getByRole("button", { name: "Finalise version 1" }).click();
  await page.getByRole("button", { name: "New draft from v1" }).click();
  await expect(page.getByText("v2, draft")).toBeVisible();
  await page.getByLabel("Cocamidopropyl betaine, percent").fill("15");
  await expect(saved(page)).toContainText(/saved \d\d:\d\d/);
  await page.getByRole("link", { name: "Compare versions" }).click();
  await expect(page.getByRole("row", { name: /Cocamidopropyl betaine/ })).toContainText("15.00 %");
  await expect(page.getByRole("row", { name: /active matter/ })).toBeVisible();
  await page.getByRole("link", { name: "Back to the Sheet" }).click();

  const active = await page.getByRole("region", { name: "Active matter" }).locator("output").textContent();
  const download = page.waitForEvent("download");
  await page.getByRole("link", { name: "File", exact: true }).click();
  const file = await (await download).path();
  await page.goto("/import");
  await page.getByLabel("or its text").fill("{ not a formula");
  await page.getByRole("button", { name: "Import", exact: true }).click();
  await expect(page.getByRole("alert")).toBeVisible();
  await expect(page.getByLabel("or its text")).toHaveValue("{ not a formula");
  await page.getByLabel("or its text").fill(readFileSync(file, "utf8"));
  await page.getByRole("button", { name: "Import", exact: true }).click();
  await expect(page.getByRole("textbox", { name: "Name of the formula" })).toHaveValue("Stage Door wash");
  await expect(page.getByRole("region", { name: "Active matter" }).locator("output")).toHaveText(active ?? "");

  await page.getByRole("button", { name: "New trial from v1" }).click();
  await expect(page.getByRole("textbox", { name: "Name of the formula" })).toHaveValue("Stage Door wash, trial from v1");
});

test("a recipe as it is written becomes the sheet, under its own title; what is dosed to a pH waits for its number", async ({ page }) => {
  await beginFormula(page);
  await page
    .getByLabel("Recipe as it is written")
    .fill("Stage Door wash\n20 g cocamidopropyl betaine\n15 g coco glucoside\n3 g glycerin\ncitric acid to pH 5.5\nwater to 100");
  await page.getByRole("button", { name: "Read it into the sheet" }).click();
  await expect(page.getByRole("textbox", { name: "Name of the formula" })).toHaveValue("Stage Door wash");
  await expect(page.getByLabel("Cocamidopropyl betaine, percent")).toHaveValue("20.00");
  await expect(page.getByLabel("Distilled or deionised water, percent")).toHaveValue("62.00");
  const asked = page.getByLabel("Citric acid anhydrous, percent");
  await expect(asked).toHaveValue("");
  await expect(asked).toBeFocused();
});

test("what a recipe says of making it stays with the sheet, and its sentences become steps with their times", async ({ page }) => {
  await beginFormula(page);
  await page
    .getByLabel("Recipe as it is written")
    .fill("Stage Door wash\n20 g coco glucoside\n3 g glycerin\nwater to 100\n\nStir gently for 25 minutes. Let it rest overnight.");
  await page.getByRole("button", { name: "Read it into the sheet" }).click();
  await page.getByText(/^Method /).click();
  await expect(page.getByRole("textbox", { name: "Method, in words" })).toHaveValue(/Stir gently for 25 minutes/);
  await expect(page.getByText(/^saved \d\d/)).toBeVisible();
  await page.reload();
  await page.getByRole("link", { name: "Steps", exact: true }).click();
  const said = page.getByRole("region", { name: "What the recipe says" });
  await expect(said.getByRole("listitem").filter({ hasText: "Stir gently" })).toContainText("25 min");
  await said.getByRole("button", { name: "Make a step of: Stir gently for 25 minutes." }).click();
  await expect(said.getByRole("listitem").filter({ hasText: "Stir gently" })).toContainText("is a step");
  await page.getByRole("button", { name: /^Keep these steps/ }).click();
  await expect(page.getByText("Your steps are kept with this draft.")).toBeVisible();
  await page.reload();
  await expect(page.getByText("As the recipe says").first()).toBeVisible();
});

test("what nobody knows comes along as an open line with its mass, until a material is chosen", async ({ page }) => {
  await beginFormula(page);
  await page.getByLabel("Recipe as it is written").fill("20 g coco glucoside\n3 g moondust\n12 g betaine\nwater to 100");
  const take = page.getByRole("button", { name: /^Read it into the sheet/ });
  await expect(take).toHaveText("Read it into the sheet, 2 lines open");
  await take.click();
  await expect(page.getByLabel("“3 g moondust”, percent")).toHaveValue("3.00");
  await expect(page.getByLabel("“12 g betaine”, percent")).toHaveValue("12.00");
  await expect(page.getByLabel("Distilled or deionised water, percent")).toHaveValue("65.00");
  await expect(page.getByText("2 lines have no material yet:")).toBeVisible();
  // It is kept as it stands, and opened again waits for its material.
  await expect(saved(page)).toBeVisible();
  await page.getByRole("link", { name: "Weighing sheet" }).click();
  const back = page.getByRole("link", { name: "Back to the sheet" });
  await expect(back).toBeVisible();
  await expect(page.getByRole("row", { name: /“3 g moondust”/ })).toBeVisible();
  await back.click();
  await page.getByRole("button", { name: "“12 g betaine”", exact: true }).click();
  await page.getByRole("button", { name: "Cocamidopropyl betaine", exact: true }).click();
  await expect(page.getByLabel("Cocamidopropyl betaine, percent")).toHaveValue("12.00");
  await expect(page.getByLabel("Cocamidopropyl betaine, percent")).toBeFocused();
  await page.getByRole("button", { name: "“3 g moondust”", exact: true }).click();
  await expect(page.getByText("Nothing in the library is called “moondust”.")).toBeVisible();
  const search = page.getByLabel("Find the material of moondust");
  await search.fill("rice powder");
  await search.press("Enter");
  await expect(page.getByLabel("Rice powder, percent")).toHaveValue("3.00");
  await expect(page.getByText("In the recipe: “3 g moondust”")).toBeVisible();
  await expect(page.getByText("no material yet")).toHaveCount(0);
});

test("a guess is offered and never taken by itself; two materials of one row stay two", async ({ page }) => {
  await beginFormula(page);
  await page.getByLabel("Recipe as it is written").fill("20 g decyl glucoside + 5 g glycerin\n1 g lavendar\nwater to 100");
  const take = page.getByRole("button", { name: /^Read it into the sheet/ });
  await expect(take).toHaveText("Read it into the sheet, 1 line open");
  const meant = page.getByRole("combobox", { name: "What is meant by 1 g lavendar" });
  await meant.selectOption({ label: "Lavender essential oil" });
  await expect(take).toHaveText("Read it into the sheet");
  await take.click();
  await expect(page.getByLabel("Decyl glucoside, percent")).toHaveValue("20.00");
  await expect(page.getByLabel("Glycerin, percent")).toHaveValue("5.00");
  await expect(page.getByLabel("Lavender essential oil, percent")).toHaveValue("1.00");
});

test("a printed ingredient list is told for what it is, and its order gives the shares as an estimate", async ({ page }) => {
  await beginFormula(page);
  await page
    .getByLabel("Recipe as it is written")
    .fill("Ingredients: Aqua, Coco-Glucoside, Cocamidopropyl Betaine, Glycerin, Sodium Benzoate, Citric Acid, Unicorn Extract");
  await expect(page.getByText("This is a printed ingredient list.")).toBeVisible();
  await page.getByRole("button", { name: "Read it into the sheet, 1 line open" }).click();
  await expect(page.getByLabel("“Unicorn Extract”, percent")).not.toHaveValue("");
  const shares = await page
    .locator("input[data-percent-of]")
    .evaluateAll((cells) => cells.map((cell) => Number((cell as HTMLInputElement).value)));
  expect(shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo(100, 1);
  expect([...shares].sort((a, b) => b - a)[0]).toBe(shares[0]);
});

test("a recipe can be pasted as soon as it is asked for: the field comes with the scripts that read it", async ({ page }) => {
  let isAwaited = (): void => undefined;
  const awaited = new Promise<void>((resolve) => (isAwaited = resolve));
  await page.route(/\/assets\/Start-.*\.js$/, async (route) => {
    await awaited;
    await route.continue();
  });
  await beginFormula(page);
  const recipe = page.getByLabel("Recipe as it is written");
  await expect(recipe).toHaveCount(0);
  isAwaited();
  await recipe.fill("20 g coco glucoside\nwater to 100");
  await expect(page.getByRole("button", { name: "Read it into the sheet" })).toBeEnabled();
});

test("the balance is moved by keys, kept, and taken back", async ({ page }) => {
  await beginFormula(page);
  await addLine(page, "olefin sulfonate 40", "15");
  await addLine(page, "cocamidopropyl betaine", "15");
  await page.getByRole("button", { name: "Adjust the blend" }).click();
  const triangle = page.getByRole("application", { name: /Blend triangle/ });
  await expect(triangle).toBeFocused();
  await expect(triangle).toHaveAccessibleName(/56.5 % anionic, 43.5 % amphoteric, 0 % nonionic/);
  for (let k = 0; k < 6; k += 1) await page.keyboard.press("ArrowRight");
  await expect(triangle).toHaveAccessibleName(/50.5 % anionic, 49.5 % amphoteric/);
  // Nothing nonionic is there, so the point does not go up.
  await page.keyboard.press("ArrowUp");
  await expect(page.getByText("It moves only along the types that are there.")).toBeVisible();
  await triangle.press("Enter");
  await expect(triangle).toBeHidden();
  await expect(page.getByLabel("Cocamidopropyl betaine, percent")).not.toHaveValue("15");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByLabel("Cocamidopropyl betaine, percent")).toHaveValue("15");
});

test("a type that is missing is offered in the triangle, and then the field opens that way", async ({ page }) => {
  await beginFormula(page);
  await addLine(page, "olefin sulfonate 40", "15");
  await addLine(page, "cocamidopropyl betaine", "15");
  await page.locator("body").click({ position: { x: 5, y: 400 } });
  await page.keyboard.press("t");
  await page.getByRole("button", { name: "Add a nonionic" }).click();
  await page.getByRole("combobox", { name: "Which nonionic" }).selectOption("Coco-glucoside");
  // 10.35 % active of the two: 10.35 ÷ 9 = 1.15 % active, 2.21 % of a 52 % glucoside.
  await page.getByRole("button", { name: "Add 2.21 %" }).click();
  const triangle = page.getByRole("application", { name: /10 % nonionic/ });
  await expect(triangle).toBeVisible();
  await expect(triangle.locator("path[class*=band][d^=M]").first()).toBeVisible();
  await expect(triangle.getByText("very mild", { exact: true })).toBeVisible();
  await triangle.press("ArrowUp");
  await expect(page.getByRole("application", { name: /11 % nonionic/ })).toBeVisible();
  await page.getByRole("button", { name: /^Back/ }).click();
  await expect(page.getByLabel("Coco-glucoside, percent")).not.toHaveValue("");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByLabel("Coco-glucoside, percent")).toHaveCount(0);
});

test("the batch comes from containers or from what is in hand, and a card goes out with it", async ({ page }) => {
  await page.goto(CURTAIN_CALL);
  const batch = page.getByRole("textbox", { name: "batch" });
  await page.getByRole("button", { name: "How much to make" }).click();
  await page.getByLabel("How many containers").fill("12");
  await page.getByLabel("Content of one container").fill("250");
  await page.getByLabel("Unit of the content").selectOption("g");
  await page.getByRole("button", { name: "Make 3113 g" }).click();
  await expect(batch).toHaveValue("3113");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(batch).toHaveValue("600");

  await page.getByRole("button", { name: "How much to make" }).click();
  await expect(page.getByLabel("How many containers")).toHaveValue("12");
  await page.getByLabel("Material in hand").selectOption("Cocamidopropyl betaine");
  await page.getByLabel("Grams in hand").fill("lots");
  await expect(page.getByText("“lots” is no number.")).toBeVisible();
  // 14 % of it is betaine: 70 g make 500 g.
  await page.getByLabel("Grams in hand").fill("70");
  await page.getByRole("button", { name: "Make 500 g" }).click();
  await expect(batch).toHaveValue("500");
  await expect(page.getByText(/saved \d\d:\d\d/)).toBeVisible();

  await page.getByRole("link", { name: "Card", exact: true }).click();
  const betaine = page.getByRole("row", { name: /Cocamidopropyl betaine/ });
  await expect(betaine).toContainText("14.00");
  await expect(betaine).toContainText("70.0");
  await expect(betaine).toContainText("surfactant");
  await expect(page.getByText(/check where you live/)).toBeVisible();
  await page.getByRole("link", { name: "Back to the sheet" }).click();
  await page.getByRole("textbox", { name: "batch" }).fill("600");
  await expect(page.getByText(/saved \d\d:\d\d/)).toBeVisible();
});

test("a finding that is acknowledged stays so, and comes back when its numbers change", async ({ page }) => {
  await page.goto(CURTAIN_CALL);
  await page.getByLabel("Sodium benzoate, percent").fill("1.4");
  const finding = page.getByText("1.40 % of Sodium benzoate; usually no more than 1.00 %.");
  await expect(finding).toBeVisible();
  await page.getByRole("listitem").filter({ has: finding }).getByRole("button", { name: "Acknowledge…" }).click();
  await page.getByLabel(/Reason to acknowledge/).fill("A trial with a challenge test behind it.");
  await page.getByRole("button", { name: "Acknowledge", exact: true }).click();
  await expect(page.getByText(/Acknowledged \(1\)/)).toBeVisible();
  await page.getByLabel("Sodium benzoate, percent").fill("1.5");
  await expect(page.getByText("1.50 % of Sodium benzoate; usually no more than 1.00 %.")).toBeVisible();
  await page.getByLabel("Sodium benzoate, percent").fill("0.4");
  await expect(page.getByText("No issues.")).toBeVisible();
});
