import { readFileSync } from "node:fs";
import type { Page } from "@playwright/test";
import { addLine, beginFormula, expect, FAILED_LOAD, saved, test } from "./testing/test";

/** Single keys act once the page's scripts do; the switch for the dim theme tells when. */
const scriptsReady = (page: Page) => expect(page.getByRole("button", { name: "dim" })).toBeEnabled();

// A form that must be fixed is answered with 422.
test.use({ allowedConsole: [FAILED_LOAD], ownApplication: "made here" });

test("what is too small to weigh becomes a stock solution, and the line is weighed as it", async ({ page }) => {
  await beginFormula(page);
  const sheet = page.url();
  await addLine(page, "d-panthenol", "0.005");
  await page.getByRole("button", { name: "D-panthenol", exact: true }).click();
  await page.getByText(/To consider \(\d\)/).click();
  await page.getByRole("link", { name: "Plan the solution" }).click();
  await expect(page.getByLabel("dissolve")).toHaveValue("panthenol-75");
  await expect(page.getByLabel("strength, % by mass")).toHaveValue("10");
  await page.getByLabel("how much, g").fill("50");
  await expect(page.getByRole("region", { name: "Weigh" })).toContainText("45.00 g distilled water");
  await page.getByRole("button", { name: "It is made, put it on the shelf" }).click();
  await expect(page.getByRole("article")).toContainText("D-panthenol 10 % solution");
  await expect(page.getByRole("article")).toContainText(/made \d+ \w+ \d{4}\s*discard \d+ \w+ \d{4}/);

  // 5 g went off the lot it was made of, and the solution stands on a board of its own.
  await page.goto("/shelf/panthenol-75");
  await expect(
    page
      .getByRole("table", { name: /Stock ledger/ })
      .getByRole("row")
      .nth(1),
  ).toContainText("−5.0");
  await page.goto("/shelf");
  await expect(page.getByRole("region", { name: "Made here" })).toContainText("D-panthenol 10 % solution");

  await page.goto(sheet);
  await page.getByRole("button", { name: "D-panthenol", exact: true }).click();
  await page.getByRole("button", { name: /Weigh it as 0\.05\d* % of the solution/ }).click();
  await expect(page.getByLabel("D-panthenol 10 % solution, percent")).toHaveValue("0.05");
  await expect(page.getByLabel("Distilled or deionised water, percent")).toHaveValue("99.95");
  await expect(page.getByText(/too small to weigh/)).toHaveCount(0);
  await expect(saved(page)).toContainText(/saved \d\d/);
});

test("a maker knows a fact better: the Sheet counts with it, what differs is said, and all goes back to the library", async ({ page }) => {
  await page.goto("/shelf/aos-40");
  await page.getByRole("link", { name: "Edit values" }).click();
  await page.getByRole("textbox", { name: "Active matter, typical" }).fill("strong");
  await page.getByRole("button", { name: "Use my values" }).click();
  await expect(page.getByRole("alert")).toContainText("“strong” is no number");
  await expect(page.getByRole("textbox", { name: "Active matter, typical" })).toHaveValue("strong");
  await page.getByRole("textbox", { name: "Active matter, typical" }).fill("36");
  await page.getByRole("button", { name: "Use my values" }).click();
  const yours = page.getByRole("region", { name: /^My values/ });
  await expect(yours.getByRole("row", { name: /active matter/ })).toContainText("36 %");
  await page.goto("/sheet/5ea50000-0000-4000-8000-00000000c100");
  const active = page.getByRole("region", { name: "Active matter" }).locator("output");
  await expect(active).not.toHaveText("12.34");
  await page.goto("/shelf/aos-40");
  await yours.getByRole("button", { name: "Reset to library values" }).click();
  await page.getByRole("dialog").getByRole("button", { name: "Reset to library values" }).click();
  await expect(yours).toHaveCount(0);
  await page.goto("/sheet/5ea50000-0000-4000-8000-00000000c100");
  await expect(active).toHaveText("12.34");
});

test("a material of one's own is found on the Sheet, laid beside its origin, and a final version can be one too", async ({ page }) => {
  await page.goto("/shelf");
  await page.getByRole("link", { name: "A material of your own" }).click();
  await page.getByRole("button", { name: "Put it into the library" }).click();
  await expect(page.getByText("Say what it is made of", { exact: false })).toBeVisible();
  await page.getByLabel("Name", { exact: true }).fill("Dressing room slurry");
  await page.getByLabel("What it does").selectOption("humectant");
  await page.getByLabel("Made of, with percent").fill("Glycerin 90\nxanthan-gum 10");
  await page.getByRole("button", { name: "Put it into the library" }).click();
  await expect(page.getByRole("region", { name: "Made of" }).getByRole("row", { name: /Glycerin/ })).toContainText("90.00 %");
  await page.getByRole("link", { name: "Side by side" }).click();
  await page.getByLabel("The other material").fill("glycerin");
  await page.getByRole("button", { name: "Compare" }).click();
  await expect(page.getByRole("columnheader", { name: /Dressing room slurry/ })).toBeVisible();
  await expect(page.getByRole("columnheader", { name: /Glycerin/ })).toBeVisible();

  await beginFormula(page);
  await addLine(page, "dressing slurry", "5");
  await expect(page.getByLabel("Dressing room slurry, percent")).toHaveValue("5");

  await page.goto("/sheet/5ea50000-0000-4000-8000-00000000c100/1");
  await page.getByRole("button", { name: "Store v1 as a material" }).click();
  await expect(page.getByRole("heading", { name: "Curtain Call shampoo v1" })).toBeVisible();
  await expect(page.getByText("A formula of yours, stored as a material.")).toBeVisible();
  await page.getByRole("link", { name: "Change it" }).click();
  await page.getByRole("button", { name: "Delete it from the library" }).click();
  await page.getByRole("dialog").getByRole("button", { name: "Delete it from the library" }).click();
  await expect(page.getByRole("combobox", { name: "Where it stands" })).toHaveValue("library");
});

/** By keys, from wherever the caret is: Enter in a field only goes to the next one. */
async function keepRound(page: Page): Promise<void> {
  await page.getByRole("button", { name: /^Keep (this|the first) round$/ }).focus();
  await page.keyboard.press("Enter");
}

test("a scent in rounds, by keys alone: what changed, allergens and limits, kept as a material", async ({ page }) => {
  await page.goto("/scents");
  await scriptsReady(page);
  await page.keyboard.press("n");
  await page.keyboard.type("Boathouse");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: "Boathouse" })).toBeVisible();
  await page.getByLabel("Oil 1", { exact: true }).selectOption("Juniper berry essential oil");
  await page.getByLabel("Count of oil 1").fill("8");
  await page.getByLabel("Oil 2", { exact: true }).selectOption("Lemon essential oil");
  await page.getByLabel("Count of oil 2").fill("a few");
  await keepRound(page);
  await expect(page.getByRole("alert")).toContainText("“a few” is no count");
  await page.getByLabel("Oil 1", { exact: true }).selectOption("Juniper berry essential oil");
  await page.getByLabel("Count of oil 1").fill("8");
  await page.getByLabel("Oil 2", { exact: true }).selectOption("Lemon essential oil");
  await page.getByLabel("Count of oil 2").fill("8");
  await keepRound(page);
  await expect(page.getByRole("img", { name: /Round 1: Juniper berry essential oil/ })).toBeVisible();
  await page.getByLabel("Lemon essential oil, next round").fill("2");
  await page.getByLabel("How it smells").fill("quieter");
  await keepRound(page);
  await expect(page.getByRole("region", { name: "What changed" })).toContainText("Juniper berry essential oil came forward most.");
  const product = page.getByRole("region", { name: "In a product" });
  await expect(product).toContainText("Within the usual cap of 1 %.");
  await expect(product.getByRole("row", { name: /Limonene/ })).toContainText("name it");
  await product.getByLabel("In which product").selectOption("face gel cleanser");
  await expect(product).toContainText("Over the usual cap of 0.3 %.");
  await page.getByLabel(/Round 2 as a material called/).fill("Boathouse scent");
  await page.getByLabel(/Round 2 as a material called/).press("Enter");
  await expect(page.getByRole("heading", { name: "Boathouse scent" })).toBeVisible();
  await expect(page.getByText("A scent blended here.")).toBeVisible();
});

test("a plant water is cooked, weighed and stands with its days", async ({ page }) => {
  await page.goto("/shelf/make/water");
  await page.getByLabel("name").fill("Nettle water");
  await page.getByLabel("INCI of what comes out of the plant").fill("Urtica Dioica Leaf Extract");
  await page.getByLabel("plant, g").fill("30");
  await page.getByLabel("water, g").fill("500");
  await page.getByLabel("days of life, cold").fill("20");
  await expect(page.getByRole("alert")).toContainText("at most 14 days");
  await page.getByLabel("days of life, cold").fill("6");
  await expect(page.getByRole("button", { name: "It is cooked, put it on the shelf" })).toBeDisabled();
  await page.getByLabel("left after straining, g").fill("410");
  await page.getByRole("button", { name: "It is cooked, put it on the shelf" }).click();
  await expect(page.getByRole("article")).toContainText("Nettle water");
  await page.goto("/shelf/make/water");
  await expect(page.getByRole("region", { name: "Standing" })).toContainText("6 days left in the cold");
});

test("everything of one's own goes out as a file, and what is there already is told when it comes again", async ({ page }) => {
  await page.goto("/shelf");
  const [download] = await Promise.all([page.waitForEvent("download"), page.getByRole("link", { name: "My shelf as a file" }).click()]);
  const text = readFileSync(await download.path(), "utf8");
  const file = JSON.parse(text) as { format: string; materials: { slug: string }[]; lots: object[] };
  expect(file.format).toBe("tensidrum-materials/1");
  expect(file.materials.map(({ slug }) => slug)).toContain("birch-leaf-water");
  await page.goto("/shelf/import");
  const more = { ...file, materials: [{ slug: "lake-mist", name: "Lake mist", role: "water", inci: [{ name: "Aqua", percent: 100 }] }] };
  await page
    .getByLabel("A file")
    .setInputFiles({ name: "shelf.json", mimeType: "application/json", buffer: Buffer.from(JSON.stringify(more)) });
  await page.getByRole("button", { name: "Read it" }).click();
  await expect(page.getByText(`1 of ${file.lots.length + 1} rows can be brought in.`)).toBeVisible();
  await expect(page.getByRole("row", { name: /B-114/ })).toContainText("stands on the shelf already");
  await page.getByRole("button", { name: "Put the ticked rows on the shelf" }).click();
  await expect(page.getByRole("heading", { name: "The shelf" })).toBeVisible();
  await page.goto("/shelf/lake-mist");
  await expect(page.getByRole("heading", { name: "Lake mist" })).toBeVisible();

  // A table of materials is known by its heads.
  await page.goto("/shelf/import");
  await page.getByLabel("or its rows").fill("name;role;inci;active\nPier soap;surfactant;Potassium Oleate 30;30\nPier soap;surfactant;;");
  await page.getByRole("button", { name: "Read it" }).click();
  await expect(page.getByLabel("it is a list of")).toHaveValue("materials");
  await expect(page.getByText("1 of 2 rows can be brought in.")).toBeVisible();
  await page.getByRole("button", { name: "Put the ticked rows into the library" }).click();
  await expect(page.getByRole("heading", { name: "The shelf" })).toBeVisible();
  await page.goto("/shelf/pier-soap");
  await expect(page.getByRole("row", { name: /active matter/ })).toContainText("30 %");
});

test("settings: drops, money and mass are kept, and the shelf writes in them", async ({ page }) => {
  await page.goto("/");
  await scriptsReady(page);
  await page.keyboard.press(",");
  await expect(page.getByRole("heading", { name: "Settings" })).toBeVisible();
  await page.getByLabel("what was dropped").selectOption("pine-needle-oil");
  await page.getByLabel("together").fill("0.62");
  await page.getByRole("button", { name: "Take the mass of a drop" }).click();
  await expect(page.getByRole("list", { name: "Your own drops" })).toContainText("Pine needle essential oil 31 mg");
  await page.getByLabel("amounts on the shelf in").selectOption("oz");
  await page.getByLabel("currency, as you write it").fill("kr");
  await page.getByRole("button", { name: "Save money and mass" }).click();
  await expect(page.getByLabel("currency, as you write it")).toHaveValue("kr");
  await page.goto("/shelf/glycerin");
  await expect(page.getByText(/\d oz left|oz$/).first()).toBeVisible();
  await expect(page.getByText(/kr a kilogram/).first()).toBeVisible();
  await page.goto("/settings");
  await page.getByLabel("amounts on the shelf in").selectOption("g");
  await page.getByLabel("currency, as you write it").fill("€");
  await page.getByRole("button", { name: "Save money and mass" }).click();
  await expect(page.getByLabel("currency, as you write it")).toHaveValue("€");
});

test("solutions, scents and settings work with scripts switched off", async ({ browser, application }) => {
  const context = await browser.newContext({ baseURL: application.address, javaScriptEnabled: false });
  const page = await context.newPage();
  await page.goto("/shelf/make/solution");
  await page.getByLabel("dissolve").selectOption("Sodium chloride");
  await page.getByLabel("strength, % by mass").fill("20");
  await page.getByRole("button", { name: "Plan it" }).click();
  await expect(page.getByRole("region", { name: "Weigh" })).toContainText("80.00 g distilled water");
  await page.getByRole("button", { name: "It is made, put it on the shelf" }).click();
  await expect(page.getByRole("article")).toContainText("Sodium chloride 20 % solution");
  await page.goto("/scents");
  await page.getByRole("link", { name: "Lakeside evening" }).click();
  await page.getByLabel("Lemon essential oil, next round").fill("3");
  await page.getByRole("button", { name: "Keep this round" }).click();
  await expect(page.getByRole("heading", { name: "Lakeside evening" })).toBeVisible();
  await expect(page.getByText(/round 4/).first()).toBeVisible();
  await context.close();
});
