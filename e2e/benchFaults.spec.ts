import { readFileSync } from "node:fs";
import type { Page } from "@playwright/test";
import { startCluster } from "../scripts/cluster.mjs";
import { acknowledged, beginBatch, done, GREEN_ROOM_BATCH, takeTyped, typedWeight } from "./testing/atTheBench";
import { killed } from "./testing/killed";
import { expect, FAILED_LOAD, test } from "./testing/test";

// While the database is gone a form is answered with 503.
test.use({ allowedConsole: [FAILED_LOAD, /ERR_CONNECTION_REFUSED/] });

/** Begins a batch and stands before its first weight. Returns the address of the batch. */
async function beforeFirstWeight(page: Page): Promise<string> {
  const batch = await beginBatch(page, GREEN_ROOM_BATCH);
  await done(page).click();
  await expect(typedWeight(page)).toBeVisible();
  return batch;
}

/** Takes the weight that is asked for and waits until the server has acknowledged it. */
async function takeWeight(page: Page): Promise<string> {
  const { grams } = await takeTyped(page);
  await expect(page.getByText(/\d of \d+\.\d g/)).toBeVisible();
  await acknowledged(page);
  return grams;
}

test("the server killed in the middle of weighing: after a restart every acknowledged entry is there, once", async ({
  start,
  folder,
  browser,
}) => {
  test.setTimeout(300_000);
  const cluster = await startCluster(folder);
  let application = await start({ DATABASE_URL: cluster.url });
  const page = await browser.newPage({ baseURL: application.address });
  const batch = await beforeFirstWeight(page);
  const grams = await takeWeight(page);
  await killed(application);
  await page.close();

  application = await start({ DATABASE_URL: cluster.url });
  const again = await browser.newPage({ baseURL: application.address });
  await again.goto(`${batch}/record`);
  await expect(again.getByRole("article").getByRole("cell", { name: grams, exact: true }).first()).toBeVisible();
  await expect(again.getByRole("article")).toContainText("Prepare the bench: done");
  await again.goto(batch);
  await expect(again.getByRole("button", { name: /Record weight|Done, next step/ })).toBeVisible();
  await again.close();
  await application.stop();
  await cluster.stop();
});

test("PostgreSQL killed in the middle of weighing: the page says so, and every acknowledged entry is there afterwards", async ({
  start,
  folder,
  browser,
}) => {
  test.setTimeout(300_000);
  let cluster = await startCluster(folder);
  const application = await start({ DATABASE_URL: cluster.url });
  const page = await browser.newPage({ baseURL: application.address });
  const batch = await beforeFirstWeight(page);
  const grams = await takeWeight(page);
  // The first line of its file is the number of the server's process.
  const [processNumber = ""] = readFileSync(`${folder}/postgres/postmaster.pid`, "utf8").split("\n");
  process.kill(Number(processNumber), "SIGKILL");
  // The page goes on by itself; what is entered now waits on the device.
  await done(page).click();
  await expect(page.getByText(/Kept on this device, 1 entry to send/)).toBeVisible();
  await page.goto("/bench");
  await expect(page.getByRole("heading", { name: "Database unavailable" })).toBeVisible();

  cluster = await startCluster(folder, { port: cluster.port });
  await page.goto(`${batch}/record`);
  await expect(page.getByRole("article").getByRole("cell", { name: grams, exact: true }).first()).toBeVisible();
  // Back at the step, what waited is sent.
  const sent = page.waitForResponse((response) => response.url().endsWith("/entries") && response.ok());
  await page.goto(batch);
  await sent;
  await expect(page.getByText(/Kept on this device/)).toBeHidden();
  await page.close();
  await application.stop();
  await cluster.stop();
});
