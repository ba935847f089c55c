import type { Page } from "@playwright/test";
import { startCluster } from "../scripts/cluster.mjs";
import { acknowledged, GREEN_ROOM_BATCH, takeTyped } from "./testing/atTheBench";
import { cutWire } from "./testing/cutWire";
import { madeBatch } from "./testing/madeBatch";
import { pageKept } from "./testing/pageKept";
import { killed } from "./testing/killed";
import { expect, FAILED_LOAD, scriptsReady, test } from "./testing/test";

test.use({ ownApplication: "filling faults", allowedConsole: [FAILED_LOAD, /ERR_CONNECTION_REFUSED/] });

/** A made batch of which four bottles are to be filled. */
async function beforeFirstBottle(page: Page): Promise<string> {
  const batch = await madeBatch(page, GREEN_ROOM_BATCH, 580.8);
  await page.goto(`/fill/${batch}`);
  await scriptsReady(page);
  const plan = page.getByRole("region", { name: "Plan" });
  await plan.getByRole("checkbox", { name: "Pump bottle, tall" }).uncheck();
  await plan.getByRole("checkbox", { name: "Flip-top, guests" }).check();
  await plan.getByLabel("How many of Flip-top, guests").fill("4");
  await page.getByRole("button", { name: "Fill by this plan" }).click();
  await expect(bottle(page, 1)).toBeVisible();
  await acknowledged(page);
  return batch;
}

const bottle = (page: Page, number: number) => page.getByRole("heading", { name: `Flip-top, guests ${number} of 4` });
const account = (page: Page) => page.getByRole("region", { name: "Where it went" });

test("the connection cut while bottles are filled: the work goes on, a reload loses nothing, and each arrives once", async ({
  application,
  browser,
}) => {
  test.setTimeout(240_000);
  const wire = await cutWire(application.address);
  const context = await browser.newContext({ baseURL: wire.address });
  const page = await context.newPage();
  const batch = await beforeFirstBottle(page);
  await page.reload();
  await scriptsReady(page);
  await pageKept(page);
  wire.cut();
  await context.setOffline(true);
  await takeTyped(page);
  await expect(page.getByText(/Kept on this device, 1 entry to send/)).toBeVisible();
  await expect(bottle(page, 2)).toBeVisible();
  await page.reload();
  await scriptsReady(page);
  await expect(bottle(page, 2)).toBeVisible();
  await takeTyped(page);
  await expect(page.getByText(/Kept on this device, 2 entries to send/)).toBeVisible();
  await expect(account(page).getByRole("row", { name: /2 of 4 Flip-top, guests/ })).toBeVisible();

  await context.setOffline(false);
  wire.fixWith();
  await acknowledged(page);
  await expect(page.getByText(/Kept on this device/)).toBeHidden();
  await page.goto(`/bench/${batch}/record`);
  await expect(page.getByText(/Flip-top, guests [12] filled/)).toHaveCount(2);
  await context.close();
  await wire.close();
});

test("the server killed while bottles are filled: after a restart every acknowledged bottle is there, once", async ({
  start,
  folder,
  browser,
}) => {
  test.setTimeout(360_000);
  const cluster = await startCluster(folder);
  let application = await start({ DATABASE_URL: cluster.url });
  const page = await browser.newPage({ baseURL: application.address });
  const batch = await beforeFirstBottle(page);
  await takeTyped(page);
  await expect(bottle(page, 2)).toBeVisible();
  await acknowledged(page);
  await killed(application);
  await page.close();

  application = await start({ DATABASE_URL: cluster.url });
  const again = await browser.newPage({ baseURL: application.address });
  await again.goto(`/fill/${batch}`);
  await scriptsReady(again);
  await expect(bottle(again, 2)).toBeVisible();
  await expect(account(again).getByRole("row", { name: /1 of 4 Flip-top, guests/ })).toBeVisible();
  await again.goto("/fill/containers");
  await expect(again.getByRole("row", { name: /Flip-top, guests/ })).toContainText("39");
  await again.close();
  await application.stop();
  await cluster.stop();
});
