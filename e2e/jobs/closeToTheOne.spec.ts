import type { Page } from "@playwright/test";
import { seriousIn } from "../testing/axe";
import { expect, saved, scriptsReady, test } from "../testing/test";

test.use({ ownApplication: "close" });

const PRODUCT = "The one the guests like";
const LIST = `Ingredients: Aqua, Sodium C14-16 Olefin Sulfonate, Cocamidopropyl Betaine, Glycerin, Coco-Glucoside, Sodium Chloride, Parfum,
Panthenol, Sodium Benzoate, Guar Hydroxypropyltrimonium Chloride, Citric Acid.`;

/** Keeps what was measured of a round, by the names of its fields. */
async function measure(page: Page, formula: string, number: number, read: Readonly<Record<string, string>>): Promise<void> {
  await page.goto(`/compare/rounds/${formula}`);
  await scriptsReady(page);
  const round = page
    .getByRole("list", { name: "Rounds" })
    .getByRole("listitem")
    .nth(number - 1);
  await round.getByText(`Measure v${number}, pin what was learned`).click();
  for (const [label, value] of Object.entries(read)) await round.getByLabel(label, { exact: true }).fill(value);
  await round.getByRole("button", { name: "Keep it" }).click();
  await expect(round.getByText(/\d of \d readings near to it/)).toBeVisible();
}

/** A new draft from a final version with some lines changed, finalised. */
async function nextRound(page: Page, formula: string, from: number, changes: Readonly<Record<string, string>>): Promise<void> {
  await page.goto(`/sheet/${formula}/${from}`);
  await scriptsReady(page);
  await page.getByRole("button", { name: `New draft from v${from}` }).click();
  await expect(page.getByRole("button", { name: `Finalise version ${from + 1}` })).toBeVisible();
  await scriptsReady(page);
  for (const [line, percent] of Object.entries(changes)) await page.getByLabel(new RegExp(`^${line}.*, percent`)).fill(percent);
  await finalise(page, from + 1);
}

async function finalise(page: Page, number: number): Promise<void> {
  await expect(saved(page)).toBeVisible();
  await page.getByRole("button", { name: `Finalise version ${number}` }).click();
  await expect(page.getByRole("link", { name: "Make a batch" })).toBeVisible();
}

const percentOf = async (page: Page, line: string): Promise<number> =>
  Number(await page.getByLabel(new RegExp(`^${line}.*, percent`)).inputValue());

test("from the printed list of the one the guests like to five rounds, one of them taken from what is suggested", async ({ page }) => {
  test.setTimeout(480_000);
  await test.step("a product with its list and what was measured of it", async () => {
    await page.goto("/compare/products/new");
    await scriptsReady(page);
    await page.getByLabel("What you call it").fill(PRODUCT);
    await page.getByLabel("Its ingredients, as they are printed").fill(LIST);
    await page.getByLabel("price").fill("3,90");
    await page.getByLabel("for", { exact: true }).fill("250");
    for (const [label, value] of [
      ["pH", "5.3"],
      ["or by the flow cup", "22"],
      ["foam at once", "118"],
      ["slip, 1 to 5", "4"],
    ] as const) {
      await page.getByLabel(label, { exact: true }).fill(value);
    }
    await page.getByRole("button", { name: "Keep it" }).click();
    await expect(page.getByRole("heading", { level: 1, name: PRODUCT })).toBeVisible();
    expect(await seriousIn(page)).toEqual([]);
  });

  await test.step("its list is read: ranges, a typical value, pins, and what excludes each other", async () => {
    await page.getByRole("link", { name: "What its list allows" }).click();
    await expect(page.getByText("typical: estimate")).toBeVisible();
    await expect(page.getByText("so its active matter is taken as 10 to 15 %")).toBeVisible();
    await expect(page.getByRole("img", { name: /^Guar Hydroxypropyltrimonium Chloride: .* %, typically/ })).toBeVisible();
    await page.getByLabel("Pin of Panthenol, %").fill("0,5");
    await expect(page.getByRole("img", { name: /^Panthenol: .*, pinned$/ })).toBeVisible();
    await page.getByLabel("Pin of Glycerin, %").fill("60");
    await expect(page.getByRole("alert")).toContainText("Glycerin is 60 %: that does not suit the printed order.");
    await page.getByLabel("Pin of Glycerin, %").fill("");
    await page.getByLabel("at or under 1 % after").selectOption("Sodium Chloride");
    await expect(page.getByText("at or under 1 % from here")).toBeVisible();
    await expect(page.getByText("typical: estimate")).toBeVisible();
    await expect(page.getByText(/recipes come out near it \(estimate\)/)).toBeVisible();
    expect(await seriousIn(page)).toEqual([]);
    await page.getByRole("button", { name: "Send to a new sheet" }).click();
  });

  let formula = "";
  let salt = 0;
  await test.step("the sheet has its lines, with water to 100 and the product to come close to", async () => {
    await expect(page).toHaveURL(/\/sheet\/[0-9a-f-]{36}$/);
    formula = new URL(page.url()).pathname.split("/")[2] ?? "";
    await expect(page.getByRole("textbox", { name: "Product to come close to" })).toHaveValue(PRODUCT);
    await scriptsReady(page);
    salt = await percentOf(page, "Sodium chloride");
    expect(salt).toBeGreaterThan(0);
    await finalise(page, 1);
  });

  await test.step("three rounds of one change each, and one of two that cannot be told apart", async () => {
    const guar = await percentOf(page, "Guar");
    await measure(page, formula, 1, { pH: "5.35", "or by the flow cup": "12", "foam at once": "120", "slip, 1 to 5": "2" });
    await nextRound(page, formula, 1, { "Sodium chloride": (salt + 0.3).toFixed(2) });
    await measure(page, formula, 2, {
      pH: "5.35",
      "or by the flow cup": "18",
      "foam at once": "119",
      "slip, 1 to 5": "2",
      "what was learned": "salt thickens it",
    });
    await expect(page.getByText("Learned: salt thickens it")).toBeVisible();
    await nextRound(page, formula, 2, { Guar: (guar + 0.1).toFixed(2) });
    await measure(page, formula, 3, { pH: "5.35", "or by the flow cup": "18", "foam at once": "118", "slip, 1 to 5": "3" });
    await nextRound(page, formula, 3, { Glycerin: "5", "Cocamidopropyl betaine": "13" });
    await measure(page, formula, 4, { pH: "5.35", "or by the flow cup": "18", "foam at once": "117", "slip, 1 to 5": "3" });
    await expect(page.getByRole("region", { name: "Not told apart" })).toContainText(
      /changed together: what each of them did cannot be told apart/,
    );
  });

  await test.step("the next change comes from the maker's own rounds, and is taken into a draft", async () => {
    const next = page.getByRole("region", { name: /^One change for v5/ });
    await expect(next).toContainText("by your own rounds");
    const take = next.getByRole("button", { name: /^Take it: Guar/ });
    await expect(take).toBeVisible();
    expect(await seriousIn(page)).toEqual([]);
    await take.click();
    await expect(page).toHaveURL(new RegExp(`/sheet/${formula}/5$`));
    await expect(page.getByLabel("Note for version 5")).toHaveValue(/^Guar.* → .* %: slip \+/);
    await finalise(page, 5);
    await measure(page, formula, 5, { pH: "5.35", "or by the flow cup": "20", "foam at once": "117", "slip, 1 to 5": "4" });
    const hits = page.getByRole("region", { name: /^What was suggested/ });
    await expect(hits).toContainText("1 came true, 0 did not");
    await expect(page.getByRole("list", { name: "Rounds" }).getByRole("listitem").nth(4)).toContainText("4 of 4 readings near to it");
  });

  await test.step("side by side: only what differs, what each round did, and how near the last comes", async () => {
    await page.getByRole("link", { name: "Side by side" }).click();
    await expect(page.getByRole("columnheader", { name: /^v5/ })).toBeVisible();
    await expect(page.getByRole("row", { name: /^Sodium chloride/ })).toBeVisible();
    await expect(page.getByRole("row", { name: /^Panthenol/ })).toHaveCount(0);
    await expect(page.getByRole("region", { name: "v4 to v5" })).toContainText("slip up by 1.0");
    await expect(
      page.getByRole("img", { name: `v5 beside ${PRODUCT}: pH near, thickness near, foam at once near, slip near.` }),
    ).toBeVisible();
    await expect(page.getByRole("row", { name: /^contents of 100 g/ })).toContainText("1.56");
    expect(await seriousIn(page)).toEqual([]);
    const csv = await page.request.get(`/compare/side.csv?${new URL(page.url()).searchParams.toString()}`);
    expect((await csv.text()).split("\n")[0]).toContain(PRODUCT);
  });

  await test.step("a trial of the last stands beside it, and comes back as the next version", async () => {
    await page.goto(`/sheet/${formula}/5`);
    await scriptsReady(page);
    await page.getByRole("button", { name: "New trial from v5" }).click();
    await expect(page).not.toHaveURL(new RegExp(formula));
    await scriptsReady(page);
    await page.getByLabel(/^Glycerin.*, percent/).fill("4");
    await finalise(page, 1);
    await page.goto(`/compare/rounds/${formula}`);
    await scriptsReady(page);
    const trial = page.getByRole("region", { name: /^Trial: / });
    await expect(trial).toContainText("Glycerin 5 to 4 %");
    expect(await seriousIn(page)).toEqual([]);
    await trial.getByRole("button", { name: /^Bring .* back$/ }).click();
    await expect(page.getByRole("button", { name: "Finalise version 6" })).toBeVisible();
    await expect(page.getByLabel("Note for version 6")).toHaveValue(/^Brought back from .*trial from v5, v1/);
    expect(await percentOf(page, "Glycerin")).toBe(4);
    await page.goto(`/compare/rounds/${formula}`);
    await expect(trial).toContainText("Brought back as v6");
  });
});
