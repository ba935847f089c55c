import { GREEN_ROOM_BATCH } from "./testing/atTheBench";
import { seriousIn } from "./testing/axe";
import { filledBatch } from "./testing/filledBatch";
import { expect, scriptsReady, test } from "./testing/test";

test.use({ ownApplication: "cost and trace", allowedConsole: [/422/] });

test("what a bottle costs: by its lots, its bottle and its label, with the price that leaves the margin beside a shop", async ({
  page,
}) => {
  test.setTimeout(240_000);
  await filledBatch(page, GREEN_ROOM_BATCH, 3, 5);
  await page.getByRole("link", { name: "Cost", exact: true }).click();

  const bottle = page.getByRole("row", { name: /^3 × Pump bottle, tall/ });
  const moneyIn = async (at: number) => Number((await bottle.getByRole("cell").nth(at).innerText()).replace(" €", ""));
  const content = await moneyIn(0);
  expect(content).toBeGreaterThan(0);
  // The bottle costs 0.92.
  expect((await moneyIn(1)) - content).toBeCloseTo(0.92, 1);
  await expect(page.getByRole("img", { name: /^Of .* for one Pump bottle, tall: / })).toBeVisible();
  await expect(page.getByText(/a tenth dearer makes it/)).toBeVisible();
  expect(await seriousIn(page)).toEqual([]);

  // A currency among the figures is told at its field, and what was typed stays.
  await scriptsReady(page);
  await page.getByLabel("one label").fill("0.10 €");
  await page.getByLabel("of the price stays").fill("40");
  const keep = page.getByRole("button", { name: "Keep it and work it out" });
  await keep.click();
  await expect(page.getByText(/Give the number alone/)).toBeVisible();
  await expect(page.getByLabel("one label")).toHaveValue("0.10 €");
  await page.getByLabel("one label").fill("0,10");
  await page.getByLabel("a shop asks, 100 g").fill("3,20");
  await keep.click();
  await expect(page.getByRole("columnheader", { name: "of the shop’s" })).toBeVisible();
  const each = await moneyIn(1);
  expect((await moneyIn(2)) * 0.6).toBeCloseTo(each, 1);
  await expect(bottle).toContainText(/\d+ %/);

  // The next batch of the formula begins with what was settled.
  await page.reload();
  await expect(page.getByLabel("of the price stays")).toHaveValue("40");
});

test("a lot is put on hold with why, leads to the bottles it is in, and is asked about before the next batch", async ({ page }) => {
  test.setTimeout(240_000);
  const batch = await filledBatch(page, GREEN_ROOM_BATCH, 1, 3);

  await page.goto("/shelf/juniper-berry-oil");
  const lot = page.getByRole("article", { name: "Lot J-1" });
  await lot.getByRole("button", { name: "Put on hold" }).click();
  await expect(lot.getByText("Say why it is on hold")).toBeVisible();
  await lot.getByLabel("why").fill("smells of turpentine");
  await lot.getByRole("button", { name: "Put on hold" }).click();
  await expect(lot.getByText("On hold: smells of turpentine")).toBeVisible();
  await lot.getByRole("link", { name: "Where it went" }).click();

  const code = (await page.locator(`a[href="/bench/${batch}/record"]`).innerText()).trim();
  const fetched = page.getByRole("region", { name: code });
  await expect(fetched.getByRole("row", { name: /1 × Pump bottle, tall/ })).toBeVisible();
  await fetched.getByLabel("To whom Pump bottle, tall went").fill("dressing room 2");
  const kept = page.waitForResponse((response) => response.request().method() === "POST" && response.ok());
  await fetched
    .getByRole("row", { name: /Pump bottle, tall/ })
    .getByRole("button", { name: "Keep" })
    .click();
  await kept;
  await expect(fetched.getByLabel("To whom Pump bottle, tall went")).toHaveValue("dressing room 2");
  expect(await seriousIn(page)).toEqual([]);
  const csv = await (await page.request.get((await page.getByRole("link", { name: "As CSV" }).getAttribute("href")) ?? "")).text();
  expect(csv).toContain("dressing room 2");

  // Before the next batch it is a stop, with why; another lot, or none, may be chosen.
  await page.goto(GREEN_ROOM_BATCH);
  await expect(page.getByText(/Lot J-1 of .* is on hold: smells of turpentine/)).toBeVisible();
  await page.goto("/shelf/juniper-berry-oil");
  await lot.getByRole("button", { name: "Take the hold off" }).click();
  await expect(lot.getByRole("button", { name: "Put on hold" })).toBeVisible();
});
