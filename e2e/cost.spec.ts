import { GREEN_ROOM_BATCH } from "./testing/atTheBench";
import { seriousIn } from "./testing/axe";
import { fillAll } from "./testing/job";
import { madeBatch } from "./testing/madeBatch";
import { expect, scriptsReady, test } from "./testing/test";

test.use({ ownApplication: "filling", allowedConsole: [/422/] });

test("what a bottle costs: by its lots, its bottle and its label, with the price that leaves the margin beside a shop", async ({
  page,
}) => {
  test.setTimeout(120_000);
  const batch = await madeBatch(page, GREEN_ROOM_BATCH, 960, true);
  await page.goto(`/fill/${batch}`);
  await scriptsReady(page);
  await page.getByLabel("How many of Pump bottle, tall").fill("3");
  await page.getByRole("button", { name: "Fill by this plan" }).click();
  await fillAll(page, 5);
  await expect(page.getByText("All containers are filled.")).toBeVisible();
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
