import type { Page } from "@playwright/test";
import { acknowledged, GREEN_ROOM_BATCH, takeTyped, wanted } from "./testing/atTheBench";
import { seriousIn } from "./testing/axe";
import { madeBatch } from "./testing/madeBatch";
import { expect, scriptsReady, test } from "./testing/test";

test.use({ ownApplication: "filling", allowedConsole: [/422/] });

const button = (page: Page, name: string | RegExp) => page.getByRole("button", { name });
const region = (page: Page, name: string) => page.getByRole("region", { name });

/** Opens the filling of a batch from the list of what is to be filled. */
async function openFilling(page: Page, batch: string): Promise<void> {
  await page.goto("/fill");
  await page.locator(`a[href="/fill/${batch}"]`).last().click();
  await expect(region(page, "Ready to fill?")).toBeVisible();
  await scriptsReady(page);
}

test("a rested batch is looked at, planned with a sample kept, filled one by one, tried, and adds up at the end", async ({ page }) => {
  test.setTimeout(360_000);
  const batch = await madeBatch(page, GREEN_ROOM_BATCH, 580.8);
  await openFilling(page, batch);

  // What is on the shelf counts: eight foam pumps are there, and none of them suits more than what runs like water.
  const plan = region(page, "Plan");
  await expect(plan.getByText("14 there")).toBeVisible();
  await plan.getByLabel("How many of Pump bottle, tall").fill("2");
  await plan.getByRole("checkbox", { name: "Sample jar" }).check();
  await expect(plan.getByRole("row", { name: /Sample jar kept to watch/ })).toBeVisible();
  await expect(plan.getByRole("status")).toContainText("stay over");
  await button(page, "Fill by this plan").click();
  await acknowledged(page);

  await button(page, "They are").click();
  await expect(page.getByText("Containers are clean and dry.")).toBeVisible();

  expect(await seriousIn(page)).toEqual([]);

  // The first pump bottle; then it is tried before the second.
  await expect(page.getByRole("heading", { name: /Pump bottle, tall 1 of 2/ })).toBeVisible();
  const grams = Number(await wanted(page));
  await takeTyped(page);
  await expect(page.getByRole("heading", { name: "Try the first one now" })).toBeVisible();
  await button(page, "It works").click();
  await expect(page.getByRole("heading", { name: "Try the first one now" })).toBeHidden();
  await expect(page.getByRole("heading", { name: /Pump bottle, tall 2 of 2/ })).toBeVisible();

  // Too little is asked about by its colour and button, not refused.
  await takeTyped(page, String(grams - 30));
  const account = region(page, "Where it went");
  await expect(account.getByRole("row", { name: /2 of 2 Pump bottle, tall/ })).toContainText(`${(2 * grams - 30).toFixed(1)} g`);
  await button(page, "Take the last one back").click();
  await expect(account.getByRole("row", { name: /1 of 2 Pump bottle, tall/ })).toBeVisible();
  await takeTyped(page);

  // Everything else goes into jars; what is lost is said, and the sums close.
  await account.getByLabel("lost").fill("1.0");
  await account.getByLabel("where").fill("left in the funnel");
  await account.getByRole("button", { name: "Enter" }).click();
  await expect(account.getByRole("row", { name: /^lost/ })).toContainText("1.0 g");
  await page.reload();
  await scriptsReady(page);
  for (let jar = 0; jar < 12; jar += 1) {
    if (await page.getByText("All containers are filled.").isVisible()) break;
    const title = (await page.locator("#step-head").textContent()) ?? "";
    await takeTyped(page);
    await expect(page.locator("#step-head")).not.toHaveText(title);
  }
  await expect(page.getByText("All containers are filled.")).toBeVisible();
  await acknowledged(page);
  await expect(account).toContainText(/580\.8 g of yield = [\d.]+ g filled \+ 1\.0 g lost \+ [\d.]+ g left\./);

  // The shelf has fewer of them, the record tells each.
  await page.goto("/fill/containers");
  await expect(page.getByRole("row", { name: /Pump bottle, tall/ })).toContainText("12");
  await page.goto(`/bench/${batch}/record`);
  await expect(page.getByText(/Pump bottle, tall 1 filled/)).toBeVisible();
  await expect(page.getByText(/1\.0 g lost while filling: left in the funnel/)).toBeVisible();
});

test("a container that fails its trial is left, and the plan is made anew without it", async ({ page }) => {
  const batch = await madeBatch(page, GREEN_ROOM_BATCH);
  await openFilling(page, batch);
  const plan = region(page, "Plan");
  await plan.getByRole("checkbox", { name: "Pump bottle, tall" }).uncheck();
  await plan.getByRole("checkbox", { name: "Foam pump" }).check();
  await plan.getByLabel("one kept to watch").selectOption("none");
  await plan.getByLabel("How many of Foam pump").fill("3");
  await button(page, "Fill by this plan").click();
  await takeTyped(page);
  await page.getByLabel("what does not work").fill("the sieve clogs");
  await button(page, "It does not").click();
  await expect(page.getByText("does not work: the sieve clogs")).toBeVisible();
  await expect(page.getByText("All containers are filled.")).toBeVisible();
  await button(page, "Plan it anew").click();
  await plan.getByRole("checkbox", { name: "Flip-top, guests" }).check();
  await plan.getByRole("checkbox", { name: "Foam pump" }).uncheck();
  await plan.getByRole("checkbox", { name: "Pump bottle, tall" }).uncheck();
  await plan.getByLabel("How many of Flip-top, guests").fill("2");
  await button(page, "Fill by this plan").click();
  await expect(page.getByRole("heading", { name: /Flip-top, guests 1 of 2/ })).toBeVisible();
  await expect(region(page, "Where it went").getByRole("row", { name: /1 of 1 Foam pump/ })).toBeVisible();
});

test("a container is put on the shelf, refused where nothing fits, and changed", async ({ page }) => {
  await page.goto("/fill/containers");
  await page.getByLabel("name", { exact: true }).fill("Lake bottle");
  await page.getByLabel("sold as").fill("237");
  await page.getByLabel("to the brim").fill("296");
  await page.getByLabel("kept free").fill("300");
  await button(page, "Put it on the shelf").click();
  await expect(page.getByText("Nothing would be left to fill.").first()).toBeVisible();
  await expect(page.getByLabel("name", { exact: true })).toHaveValue("Lake bottle");
  await page.getByLabel("kept free").fill("");
  await button(page, "Put it on the shelf").click();
  const row = page.getByRole("row", { name: /Lake bottle/ });
  await expect(row).toContainText("237");
  await row.getByRole("link").click();
  await page.getByLabel("on the shelf").fill("7");
  await button(page, "Save it").click();
  await expect(row).toContainText("7");
});
